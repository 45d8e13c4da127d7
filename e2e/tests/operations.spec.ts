import { expect, test } from '@playwright/test';
import { expectClean } from '../support/axe';
import { signIn } from '../support/people';

test('a lead sees how it runs, and first what has to be seen to', async ({ page }) => {
  await signIn(page, 'lead');
  await page.goto('/people');
  await page.getByRole('link', { name: 'How it runs' }).click();
  await expect(page.getByRole('heading', { name: 'How it runs' })).toBeVisible();
  await expect(page.getByText(/MariaDB/)).toBeVisible();
  await expect(page.getByText('alike', { exact: true })).toBeVisible();
  await expectClean(page);
  // A clock of the tablet that goes wrong is told.
  await page.clock.setFixedTime(Date.now() + 3 * 60_000);
  await page.reload();
  await expect(page.getByText(/^This device’s clock is 1\d\d\.\d s ahead of the server’s/)).toBeVisible();
  await page.setViewportSize({ width: 390, height: 844 });
  const overflow = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
  expect(overflow).toBeLessThanOrEqual(0);
});

test('a barista is not led there, and told why when the address is typed', async ({ page }) => {
  await signIn(page, 'barista');
  await page.goto('/people');
  await expect(page.getByRole('heading', { name: 'Where you are signed in' })).toBeVisible();
  await expect(page.getByRole('link', { name: 'How it runs' })).toHaveCount(0);
  await page.goto('/operations');
  await expect(page.getByText(/Only a lead/)).toBeVisible();
});
