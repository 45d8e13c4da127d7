import { expect, test } from '@playwright/test';
import { expectClean } from '../support/axe';
import { withLetters } from '../support/letters';
import { signIn } from '../support/people';

test('somebody is invited, comes in by himself, and is let go with a way back', async ({ page, browser }) => {
  await signIn(page, 'lead');
  await page.goto('/today');
  await page.getByRole('link', { name: /^Ilse Varnholt/ }).click();
  await expect(page.getByRole('heading', { name: 'People' })).toBeVisible();
  const name = `Wren ${crypto.randomUUID().slice(0, 8)}`;
  await page.getByRole('button', { name: 'Invite', exact: true }).last().click();
  await expect(page.getByText('Name is required.')).toBeVisible();
  await page.getByRole('textbox', { name: 'Name' }).fill(name);
  await page.getByRole('button', { name: 'Invite', exact: true }).last().click();
  const way = await page.getByLabel(`The way in for ${name}, shown once`).inputValue();
  await expectClean(page);

  const context = await browser.newContext();
  const theirs = await context.newPage();
  await theirs.goto(way);
  await expect(theirs.getByRole('heading', { name: `Welcome, ${name}` })).toBeVisible();
  const email = `${crypto.randomUUID().slice(0, 8)}@ninthmole.example`;
  await theirs.getByLabel('E-mail, to sign in with').fill(email);
  await theirs.getByLabel(/^Password/).fill('short');
  await theirs.getByRole('button', { name: 'Begin' }).click();
  await expect(theirs.getByText('Password must have 10 characters or more.')).toBeVisible();
  await expect(theirs.getByLabel('E-mail, to sign in with')).toHaveValue(email);
  await expectClean(theirs);
  await theirs.getByLabel(/^Password/).fill('long enough');
  await theirs.getByRole('button', { name: 'Begin' }).click();
  await expect(theirs.getByRole('heading', { name: /^Today/ })).toBeVisible();
  await theirs.goto(way);
  await expect(theirs.getByText(/This invitation was taken/)).toBeVisible();

  // A tablet that was left behind is signed out from another device.
  const tablet = await browser.newContext();
  const left = await tablet.newPage();
  await left.request.post('/api/session', { data: { email, password: 'long enough' } });
  await left.goto('/lots');
  await expect(left.getByRole('heading', { name: /^Lots/ })).toBeVisible();
  await theirs.goto('/people');
  const open = theirs.getByRole('region', { name: 'Where you are signed in' });
  await expect(open.getByRole('listitem')).toHaveCount(2);
  await expectClean(theirs);
  await open.getByRole('button', { name: /^Sign out on / }).click();
  await expect(open.getByRole('listitem')).toHaveCount(1);
  await expect(open.getByText('this one')).toBeVisible();
  await left.goto('/lots');
  await expect(left.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await tablet.close();

  // Whoever runs the lab sees who is signed in, and signs him out.
  await page.reload();
  const row = page.getByRole('listitem').filter({ hasText: name });
  await expect(row).toContainText('signed in on 1 device');
  await row.getByRole('button', { name: `Sign ${name} out` }).click();
  await expect(row).not.toContainText('signed in');
  await theirs.goto('/lots');
  await expect(theirs.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await theirs.request.post('/api/session', { data: { email, password: 'long enough' } });

  await page.getByRole('button', { name: `Let ${name} go` }).click();
  await expect(page.getByText(`${name} is let in no more`)).toBeVisible();
  await theirs.goto('/lots');
  await expect(theirs.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: `Let ${name} go` })).toBeVisible();
  await theirs.goto('/lots');
  await expect(theirs.getByRole('heading', { name: /^Lots/ })).toBeVisible();
  await context.close();
});

test('a way in goes by mail; one that no mail server takes is handed over', async ({ page, browser }) => {
  await signIn(page, 'lead');
  await page.goto('/people');
  const person = () => {
    const name = `Rowan ${crypto.randomUUID().slice(0, 8)}`;
    return { name, email: `${name.replace(' ', '-').toLowerCase()}@ninthmole.example` };
  };
  async function invite({ name, email }: { name: string; email: string }) {
    await page.getByRole('textbox', { name: 'Name' }).fill(name);
    await page.getByLabel('E-mail, where the way in is sent').fill(email);
    await page.getByRole('button', { name: 'Invite', exact: true }).last().click();
  }

  const rowan = person();
  await invite({ ...rowan, email: 'rowan at home' });
  await expect(page.getByText('E-mail must be an address, as name@house.example.')).toBeVisible();
  await expect(page.getByLabel('E-mail, where the way in is sent')).toHaveValue('rowan at home');
  await withLetters(async (letters) => {
    await invite(rowan);
    await expect(page.getByText(`Sent to ${rowan.email}.`)).toBeVisible();
    await expectClean(page);
    const way = /http:\S+\/invited\/\S+/.exec(letters.join())?.[0] ?? '';
    const context = await browser.newContext();
    const theirs = await context.newPage();
    await theirs.goto(way);
    await expect(theirs.getByRole('heading', { name: `Welcome, ${rowan.name}` })).toBeVisible();
    await expect(theirs.getByLabel('E-mail, to sign in with')).toHaveValue(rowan.email);
    await theirs.getByLabel(/^Password/).fill('long enough');
    await theirs.getByRole('button', { name: 'Begin' }).click();
    await expect(theirs.getByRole('heading', { name: /^Today/ })).toBeVisible();
    await context.close();
  });

  const alder = person();
  await invite(alder);
  await expect(page.getByText(`The mail server did not take the letter to ${alder.email}.`)).toBeVisible();
  await expect(page.getByLabel(`The way in for ${alder.name}, shown once`)).toHaveValue(/\/invited\//);
});
