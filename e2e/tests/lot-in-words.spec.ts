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

test('a lot fermented on top of a process: told, found, and started by the rules of both', async ({
  page,
}) => {
  await signIn(page, 'barista');
  await page.goto('/lots/new');
  await page.getByLabel('Name').fill('Sealed cherries');
  await page.getByLabel('Country').selectOption({ label: 'Uganda' });
  const process = page.getByLabel(/^Process/);
  const base = page.getByLabel('Base process');
  await process.selectOption({ label: 'Washed' });
  await expect(base).toBeHidden();
  await process.selectOption({ label: 'Anaerobic' });
  await base.selectOption({ label: 'Natural' });
  await page.getByLabel('Decaffeinated').selectOption({ label: 'Yes, besides its process' });
  const hints = page.getByRole('complementary', { name: 'Starting recipe so far' });
  await expect(hints).toContainText('natural: extracts easily');
  await expect(hints).toContainText('long or closed fermentation');
  await expect(hints).toContainText('decaffeinated: thinner in the cup');
  await page.getByLabel('Roast date').fill('2026-01-15');
  await page.getByText('The green, as measured and seen').click();
  await page.getByLabel('Screen size').fill('15-18');
  await page.getByLabel('Look and smell').fill('even, fresh, some silverskin');
  await page.getByText('Label', { exact: true }).click();
  await page.getByLabel('Label notes').fill('plum, rum ; plum');
  await page.getByRole('button', { name: 'Add the lot' }).click();
  await expect(page.getByRole('heading', { name: 'Sealed cherries' })).toBeVisible();
  await expect(page.getByText('Label notes', { exact: true }).locator('+ dd')).toHaveText('plum, rum');
  await expect(page.getByText('Screen size', { exact: true }).locator('+ dd')).toHaveText('15-18');
  await expect(page.getByText('even, fresh, some silverskin')).toBeVisible();
  await expect(page.getByText('Process', { exact: true }).locator('+ dd')).toHaveText(
    'Anaerobic natural, decaffeinated',
  );
  await page.getByRole('link', { name: 'Lots', exact: true }).click();
  await page.getByLabel('Process').selectOption({ label: 'Natural' });
  await expect(page.getByRole('link', { name: 'Sealed cherries' })).toBeVisible();
  await page.getByLabel('Process').selectOption({ label: 'Decaffeinated' });
  await expect(page.getByRole('link', { name: 'Sealed cherries' })).toBeVisible();
  await page.getByLabel('Process').selectOption({ label: 'Washed' });
  await expect(page.getByRole('link', { name: 'Sealed cherries' })).toBeHidden();
});
