import { expect, test } from '@playwright/test';
import { expectClean } from '../support/axe';
import { PEOPLE, signIn } from '../support/people';

test('an admin finds people, how it runs and what goes in and out, and no recipe', async ({ page }) => {
  await page.goto('/sign-in');
  await page.getByRole('button', { name: new RegExp(PEOPLE.admin.name) }).click();
  await expect(page.getByRole('heading', { name: 'People' })).toBeVisible();
  await expect(page.getByRole('navigation', { name: 'Parts' }).getByRole('link')).toHaveText([
    'People',
    'How it runs',
    'In and out',
  ]);
  await expectClean(page);

  const name = `Alder ${crypto.randomUUID().slice(0, 8)}`;
  await page.getByRole('textbox', { name: 'Name' }).fill(name);
  await page.getByLabel('Role', { exact: true }).selectOption('lead');
  await page.getByRole('button', { name: 'Invite', exact: true }).last().click();
  await expect(page.getByLabel(`The way in for ${name}, shown once`)).toBeVisible();

  await page.getByRole('link', { name: 'How it runs' }).first().click();
  await expect(page.getByRole('heading', { name: 'How it runs' })).toBeVisible();
  await expect(page.getByText(/free there/).first()).toBeVisible();
  await page.getByRole('link', { name: 'In and out' }).click();
  await expect(page.getByRole('button', { name: 'Export everything' })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Bring in a file' })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Import from CSV' })).toHaveCount(0);
  await expectClean(page);

  // What is the trade's is none of his, by its address either.
  for (const path of ['/lots', '/recipes/1', '/today', '/cups', '/kit']) {
    await page.goto(path);
    await expect(page.getByRole('heading', { name: 'People' })).toBeVisible();
  }
});

test('a lead who names an admin reads what he will see', async ({ page }) => {
  await signIn(page, 'lead');
  await page.goto('/people');
  await page.getByLabel('Role', { exact: true }).selectOption('admin');
  await expect(page.getByText(/and no recipe: for whoever looks after the machine/)).toBeVisible();
});
