import { expect, test, type Locator, type Page } from '@playwright/test';
import { TOTP } from 'otpauth';
import type { SessionView } from '@vendu/contract';
import { expectClean } from '../support/axe';
import { enter, invited, PASSWORD, secretOn } from '../support/newcomers';

test('a lead asks everybody for a code: told of at first, and then set up before anything else', async ({
  page,
  browser,
}) => {
  const lead = await invited(page, 'lead');
  const barista = await invited(page, 'barista');
  await page.context().clearCookies();
  await enter(page, lead.email);
  await expect(page.getByRole('heading', { name: /^Today/ })).toBeVisible();
  await page.goto('/people');
  const rule = page.getByRole('group', { name: 'A code at sign-in is asked of' });
  await expect(rule.getByLabel('Nobody')).toBeChecked();
  // Whoever asks others for one has one.
  await rule.getByLabel('Leads and admins').click();
  await expect(rule.getByText('Set up a code of your own first')).toBeVisible();
  await expect(rule.getByLabel('Nobody')).toBeChecked();
  await setUp(page, page.getByRole('region', { name: 'Code at sign-in' }));
  await rule.getByLabel('Everybody but guest tasters').click();
  await expect(rule.getByLabel('Everybody but guest tasters')).toBeChecked();
  await expect(rule.getByText(barista.name)).toBeVisible();
  await expectClean(page);

  const context = await browser.newContext();
  const theirs = await context.newPage();
  await enter(theirs, barista.email);
  await expect(theirs.getByText(/your lab asks you for a code at sign-in/)).toBeVisible();
  await expectClean(theirs);
  // The day that there is for it has gone by, as the server would say then.
  await theirs.route('**/api/session', async (route) => {
    const answer = await route.fetch();
    const session = (await answer.json()) as SessionView;
    const due = session.person?.codeDue;
    if (due) due.isNow = true;
    await route.fulfill({ response: answer, json: session });
  });
  await theirs.goto('/lots');
  await expect(theirs.getByRole('heading', { name: 'A code at sign-in first' })).toBeVisible();
  await expect(theirs.getByRole('navigation').getByRole('link')).toHaveCount(0);
  await expectClean(theirs);
  await setUp(theirs, theirs.getByRole('main'));
  await expect(theirs.getByRole('heading', { name: 'Lots' })).toBeVisible();
  await expect(theirs.getByText(/your lab asks you for a code at sign-in/)).toBeHidden();
  await context.close();

  await page.reload();
  await rule.getByLabel('Nobody').click();
  await expect(rule.getByLabel('Nobody')).toBeChecked();
  await page.getByText('What was changed, by whom').click();
  await expect(
    page.getByText('code at sign-in asked of everybody but guest tasters → nobody').first(),
  ).toBeVisible();
});

async function setUp(page: Page, within: Locator): Promise<void> {
  await within.getByLabel('Present password, for the code').fill(PASSWORD);
  await within.getByRole('button', { name: 'Set it up' }).click();
  const secret = await secretOn(within);
  await within.getByLabel('Code that the app shows').fill(new TOTP({ secret }).generate());
  await within.getByRole('button', { name: 'Save' }).click();
  await expect(within.getByText('For when the phone is lost, shown once')).toBeVisible();
  await within.getByRole('button', { name: 'I have them' }).click();
  await expect(page.getByText('For when the phone is lost, shown once')).toBeHidden();
}
