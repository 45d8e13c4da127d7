import { expect, test } from '@playwright/test';
import { TOTP } from 'otpauth';
import { expectClean } from '../support/axe';
import { enter, invited, PASSWORD, secretOn } from '../support/newcomers';

test('a code besides the password is set up, asked for, done without the phone, and ended', async ({
  page,
  browser,
}) => {
  const { email, name } = await invited(page, 'barista');
  const context = await browser.newContext();
  const theirs = await context.newPage();
  await enter(theirs, email);
  await expect(theirs.getByRole('heading', { name: /^Today/ })).toBeVisible();
  await theirs.goto('/people');
  const own = theirs.getByRole('region', { name: 'Code at sign-in' });
  await own.getByLabel('Present password, for the code').fill('another one');
  await own.getByRole('button', { name: 'Set it up' }).click();
  await expect(own.getByText('This is not the present password.')).toBeVisible();
  await own.getByLabel('Present password, for the code').fill(PASSWORD);
  await own.getByRole('button', { name: 'Set it up' }).click();
  await expect(own.getByRole('img', { name: 'The code of squares for the app' })).toBeVisible();
  const secret = await secretOn(own);
  // The next half minute's is good already: each is good once.
  const code = (ahead: number) => new TOTP({ secret }).generate({ timestamp: Date.now() + ahead * 30_000 });
  await own.getByLabel('Code that the app shows').fill('123');
  await own.getByRole('button', { name: 'Save' }).click();
  await expect(own.getByText(/This code is not right/)).toBeVisible();
  await expectClean(theirs);
  await own.getByLabel('Code that the app shows').fill(code(0));
  await own.getByRole('button', { name: 'Save' }).click();
  await expect(own.getByText('10 codes left for when the phone is lost.')).toBeVisible();
  const lost = await own.getByRole('list').getByRole('listitem').allTextContents();
  expect(lost).toHaveLength(10);
  await expectClean(theirs);
  await own.getByRole('button', { name: 'I have them' }).click();
  await expect(own.getByRole('listitem')).toHaveCount(0);

  // Whoever runs the lab sees who has one.
  await page.goto('/people');
  await expect(page.getByRole('listitem').filter({ hasText: name })).toContainText('with a code at sign-in');

  const elsewhere = await (await browser.newContext()).newPage();
  await enter(elsewhere, email);
  await expect(elsewhere.getByLabel('Code', { exact: true })).toBeFocused();
  await expect(elsewhere.getByLabel('E-mail')).toHaveValue(email);
  await expectClean(elsewhere);
  await elsewhere.keyboard.type('000000');
  await elsewhere.keyboard.press('Enter');
  await expect(elsewhere.getByText(/This code is not right/)).toBeVisible();
  await elsewhere.getByLabel('Code', { exact: true }).fill(code(1));
  await elsewhere.keyboard.press('Enter');
  await expect(elsewhere.getByRole('heading', { name: /^Today/ })).toBeVisible();
  await elsewhere.context().close();

  const withoutPhone = await (await browser.newContext()).newPage();
  await enter(withoutPhone, email);
  await withoutPhone.getByLabel('Code', { exact: true }).fill(lost[0] ?? '');
  await withoutPhone.keyboard.press('Enter');
  await expect(withoutPhone.getByRole('heading', { name: /^Today/ })).toBeVisible();
  await withoutPhone.goto('/people');
  const there = withoutPhone.getByRole('region', { name: 'Code at sign-in' });
  await expect(there.getByText('9 codes left for when the phone is lost.')).toBeVisible();
  await there.getByRole('button', { name: 'End it' }).click();
  await there.getByLabel('Code, to end it').fill(lost[1] ?? '');
  await there.getByRole('button', { name: 'Ask for no code' }).click();
  await expect(there.getByRole('button', { name: 'Set it up' })).toBeVisible();
  await withoutPhone.context().close();
  await context.close();
});
