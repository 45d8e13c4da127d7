import { expect, test } from '@playwright/test';
import { signIn } from '../support/people';

test('a lot of which little is told: no process, and its elevation in a word that the recipe acts on', async ({
  page,
}) => {
  await signIn(page, 'barista');
  await page.goto('/lots/new');
  await page.getByLabel('Name').fill('Sack without papers');
  await page.getByLabel('Country').selectOption({ label: 'Uganda' });
  await page.getByLabel('Process').selectOption({ label: 'Process not known' });
  await page.getByLabel('Roast date').fill('2026-01-15');
  await page.getByLabel('Elevation').fill('rather low');
  await page.getByRole('button', { name: 'Add the lot' }).click();
  // What cannot be read stays as typed, with what can.
  await expect(
    page.getByText(/“rather low” is not an elevation; write 1850, 1700-1950, or a word/),
  ).toBeVisible();
  await expect(page.getByLabel('Elevation')).toHaveValue('rather low');
  await page.getByLabel('Elevation').fill('low');
  await page.getByRole('button', { name: 'Add the lot' }).click();
  await expect(page.getByRole('heading', { name: 'Sack without papers' })).toBeVisible();
  await expect(page.getByText('grown low')).toBeVisible();
  await expect(page.getByText('Process', { exact: true }).locator('+ dd')).toHaveText('not known');

  await page
    .getByRole('link', { name: /See the starting recipe/ })
    .first()
    .click();
  await expect(page.getByText(/low elevation: softer bean/).first()).toBeVisible();
  // Nothing is supposed of the process.
  await expect(page.getByText(/^washed:|^natural:|^honey:/)).toHaveCount(0);
});
