import { expect, test, type Page } from '@playwright/test';
import { signIn } from '../support/people';

/** Walks the focus forward until it stands on what is named; fails when it never gets there. */
async function tabTo(page: Page, name: string | RegExp): Promise<void> {
  for (let step = 0; step < 80; step++) {
    await page.keyboard.press('Tab');
    const focused = await page.evaluate(() => {
      const element = document.activeElement;
      const label =
        element instanceof HTMLInputElement || element instanceof HTMLSelectElement
          ? element.labels?.[0]?.textContent
          : null;
      return (element?.getAttribute('aria-label') ?? label ?? element?.textContent ?? '').trim();
    });
    if (typeof name === 'string' ? focused.startsWith(name) : name.test(focused)) return;
  }
  throw new Error(`the Tab key never reached ${String(name)}`);
}

test('a lot is taken in, its recipe started and changed, by the keyboard alone', async ({ page }) => {
  await signIn(page, 'barista');
  await page.goto('/lots');
  await expect(page.getByRole('heading', { name: /^Lots/ })).toBeVisible();
  await page.keyboard.press('n');
  await expect(page.getByRole('heading', { name: 'Add a lot' })).toBeVisible();
  await tabTo(page, 'Name');
  await page.keyboard.type('By keys');
  await tabTo(page, 'Country');
  await page.keyboard.type('Peru');
  await tabTo(page, 'Process');
  await page.keyboard.type('Nat');
  await tabTo(page, 'Roast date');
  await page.keyboard.type('11182026');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'By keys' })).toBeVisible();
  await expect(page.getByText('Natural', { exact: true })).toBeVisible();

  await tabTo(page, 'See the starting recipe');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Rough ranges')).toBeVisible();
  await tabTo(page, 'Keep this recipe');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: /version 1/ })).toBeVisible();
  await tabTo(page, 'Bloom, amount');
  await page.keyboard.type('3x');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Bloom, running total')).toHaveValue('48');
  await tabTo(page, 'Save as version 2');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: /version 2/ })).toBeVisible();

  await page.keyboard.press('Tab');
  await tabTo(page, /^Where kettle comes from/);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog', { name: 'Where kettle comes from' })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toBeHidden();
});
