import { expect, test } from '@playwright/test';
import { expectClean } from '../support/axe';
import { signIn } from '../support/people';

test('reference cups are made, poured by one, tasted by another, and known to that one alone', async ({
  page,
  browser,
}) => {
  await signIn(page, 'secondBarista');
  await page.goto('/practice');
  await page.getByRole('link', { name: 'reference cups' }).click();
  await page.getByRole('radio', { name: '0.05 %' }).click();
  // Computed: 60 g at 1.35 % take 60 x 0.05 / 1.30 g of water.
  await expect(page.getByText('2.3 g')).toBeVisible();
  await page.getByLabel('Strength of the brew').fill('0.1');
  await page.getByLabel('Strength of the brew').press('Tab');
  await expect(page.getByText('Strength must be 0.25 to 3 %.')).toBeVisible();
  await expectClean(page);
  await page.getByRole('button', { name: 'Give out codes' }).click();
  const cups = await page
    .getByRole('listitem')
    .filter({ hasText: /^\d{3}[AB]$/ })
    .allTextContents();
  const odd = cups.find((cup) => cups.filter((each) => each.slice(-1) === cup.slice(-1)).length === 1)!;
  await page.getByRole('button', { name: 'Poured: hide this' }).click();
  await expect(page.getByText('For whoever pours')).toHaveCount(0);
  await page.getByRole('button', { name: odd.slice(0, 3) }).click();
  await expect(page.getByText(`Right: ${odd.slice(0, 3)} was the different one.`)).toBeVisible();
  await expect(page.getByText('1 of 1; guessing gives 0.3. It may be chance.')).toBeVisible();
  await page.reload();
  await expect(page.getByText('1 of 1; guessing gives 0.3. It may be chance.')).toBeVisible();
  await expectClean(page);

  const other = await (await browser.newContext()).newPage();
  await signIn(other, 'barista');
  await other.goto('/practice/cups');
  await expect(other.getByText(/^No cups yet/)).toBeVisible();
});
