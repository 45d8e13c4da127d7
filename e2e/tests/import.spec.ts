import { expect, test } from '@playwright/test';
import { signIn } from '../support/people';

const FILE = `Coffee;Country;Process;Roast date;Elevation;Added fruit or yeast;Stock weighed in
Import ridge;Rwanda;washed;2026-11-10;1800-1950;;2.4 kg
Import fault;Atlantis;boiled;2026-11-10;1950-1800;;
Import fruit;PE;co-fermented;2026-11-11;1500;mango pulp;`;

test('a faulty file is mended before anything is stored, and survives a reload', async ({ page }) => {
  await signIn(page, 'barista');
  await page.goto('/lots');
  await page.getByRole('link', { name: 'Import from CSV' }).click();
  await page
    .getByLabel('File')
    .setInputFiles({ name: 'lots.csv', mimeType: 'text/csv', buffer: Buffer.from(FILE) });
  await expect(page.getByRole('status')).toContainText('3 lots read, 3 of them with errors');
  await page.getByLabel(/Coffee/).selectOption({ label: 'Name' });
  await expect(page.getByRole('status')).toContainText('3 lots read, 1 of them with errors');
  const store = page.getByRole('button', { name: 'Add 3 lots' });
  await expect(store).toBeDisabled();
  await expect(page.getByText('Country must be chosen from the list.')).toBeVisible();
  await expect(page.getByText('Process must be one of', { exact: false })).toBeVisible();
  await expect(page.getByText(/range runs downwards, from 1950 to 1800 m/)).toBeVisible();

  await page.getByLabel('Country, line 3').fill('Bolivia');
  await page.reload();
  await expect(page.getByLabel('Country, line 3')).toHaveValue('Bolivia');
  await page.getByLabel('Process, line 3').fill('Honey');
  await page.getByLabel('Elevation, line 3').fill('1800-1950');
  await expect(page.getByRole('status')).toContainText('no errors');
  await store.click();

  await expect(page.getByRole('heading', { name: /^Lots/ })).toBeVisible();
  await page.getByLabel('Search lots').fill('import');
  await expect(page).toHaveURL(/search=import/);
  await expect(page.getByRole('link', { name: 'Import fault' })).toBeVisible();
  await expect(page.getByText('contains mango pulp')).toBeVisible();
  await expect(page.getByRole('row')).toHaveCount(4);
});

test('the list is filtered, sorted and walked by keys, and its address says how', async ({ page }) => {
  await signIn(page, 'barista');
  await page.goto('/lots?stage=dialling-in');
  await expect(page.getByRole('link', { name: 'Valle Sereno Anaerobic' })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Bolaven Terrace Honey' })).toBeHidden();
  await page.getByRole('button', { name: /^All/ }).click();
  // What was on screen stays until the next list comes: one lot of one stage is not yet the one searched for.
  await expect(page.getByRole('link', { name: 'Bolaven Terrace Honey' })).toBeVisible();
  await page.getByRole('button', { name: 'Roast age' }).click();
  await expect(page).toHaveURL(/sort=roast-age/);
  await page.keyboard.press('/');
  await expect(page.getByLabel('Search lots')).toBeFocused();
  await page.keyboard.type('marañal');
  await expect(page).toHaveURL(/search=mara/);
  await expect(page.getByRole('row')).toHaveCount(2);
  await page.getByRole('link', { name: 'Marañal Sugarcane Decaf' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Marañal Sugarcane Decaf' })).toBeVisible();
  await page.goBack();
  await expect(page.getByLabel('Search lots')).toHaveValue('marañal');
});
