import { expect, test } from '@playwright/test';
import { signIn } from '../support/people';

test('pouring is practised with a key held, scored, and its progress kept', async ({ page }) => {
  await page.clock.install({ time: new Date('2026-11-23T10:00:00Z') });
  await signIn(page, 'barista');
  await page.goto('/practice');
  await expect(page.getByText('hold Space, or press here and pull down')).toBeVisible();
  for (let run = 0; run < 2; run++) {
    await page.keyboard.down('Space');
    await expect(page.getByText('pouring', { exact: true })).toBeVisible();
    await page.clock.runFor(7_000);
    await page.keyboard.up('Space');
    await page.clock.runFor(9_000);
    await expect(page.getByLabel('Score')).toContainText('of 100');
    await page.getByRole('button', { name: 'Once more' }).click();
  }
  await expect(page.getByRole('row', { name: /Tamsin/ })).toHaveCount(2);
  await page.getByRole('button', { name: 'Follow a recipe' }).click();
  await expect(page.getByRole('combobox', { name: 'Lot to follow' })).toBeVisible();
});
