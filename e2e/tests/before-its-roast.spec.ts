import { expect, test } from '@playwright/test';
import { signIn } from '../support/people';

test('green is taken in before its roast: looked at, not brewed, until its first batch is there', async ({
  page,
}) => {
  await signIn(page, 'barista');
  await page.goto('/lots/new');
  await page.getByLabel('Name').fill('Green in the store');
  await page.getByLabel('Country').selectOption({ label: 'Uganda' });
  await page.getByLabel(/^Process/).selectOption({ label: 'Washed' });
  await page.getByRole('button', { name: 'Add the lot' }).click();
  await expect(page.getByRole('heading', { name: 'Green in the store' })).toBeVisible();
  await expect(page.getByText('roast due')).toBeVisible();
  await expect(page.getByText('Not roasted yet. Its starting recipe can be looked at')).toBeVisible();
  const lotUrl = page.url();

  await page
    .getByRole('link', { name: /See the starting recipe/ })
    .first()
    .click();
  await expect(page.getByText('Not roasted yet: nothing is said of its gas')).toBeVisible();
  // No rule supposes an age.
  await expect(page.getByText(/since the roast|within the week/)).toHaveCount(0);
  await page.getByRole('button', { name: 'Keep this recipe' }).click();
  await expect(page).toHaveURL(/\/recipes\/\d+$/);
  await page.getByRole('link', { name: /^Brew version/ }).click();
  await expect(page.getByRole('heading', { name: 'Green in the store is not roasted yet' })).toBeVisible();
  await page.getByRole('link', { name: 'Open the lot' }).click();
  await expect(page).toHaveURL(lotUrl);

  await page.getByLabel('First batch, roasted on').fill('2026-01-15');
  await page.getByLabel('A sample roast, not for sale').check();
  await page
    .getByRole('button', { name: /Add (the|this) batch|Add/ })
    .last()
    .click();
  await expect(page.getByText('first brew due')).toBeVisible();
  await expect(page.getByText('sample roast', { exact: true })).toBeVisible();
  await expect(page.getByText('Not roasted yet. Its starting recipe')).toBeHidden();
});
