import { expect, test } from '@playwright/test';
import type { LotView } from '@vendu/contract';
import { signIn } from '../support/people';

test('a recipe of last year’s lot is carried over to this year’s, with what differs', async ({ page }) => {
  await signIn(page, 'barista');
  // A producer of this run's own, whatever ran before.
  const producer = `Mill ${crypto.randomUUID()}`;
  const takeIn = async (facts: object) => {
    const data = { country: 'UG', roastedOn: '2026-01-15', producer, ...facts };
    return (await (await page.request.post('/api/lots', { data })).json()) as LotView;
  };
  const before = await takeIn({
    name: 'Slope of last year',
    process: 'washed',
    harvest: '2025',
    labelNotes: ['apple'],
  });
  const lot = await takeIn({ name: 'Slope of this year', process: 'natural', harvest: '2026' });
  await page.request.post(`/api/lots/${before.id}/recipes`, {
    data: { brewerId: 2, grinderId: 1, doseG: 18 },
  });

  await page.goto(`/lots/${lot.id}`);
  const kin = page.getByRole('listitem').filter({ hasText: 'Slope of last year' });
  await expect(kin).toContainText('same producer');
  await expect(kin).toContainText('apple');
  await expect(kin).toContainText('This lot is natural, not washed; 2026, not 2025.');
  await kin.getByRole('button', { name: 'Brew it like this' }).click();
  await expect(page).toHaveURL(/\/recipes\/\d+$/);
  // The page left behind is headed by the lot, this one by the recipe, with the lot above it.
  await expect(page.getByRole('heading', { level: 1, name: /version 1/ })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Slope of this year' })).toBeVisible();
  await expect(
    page.getByText('Like Slope of last year, version 1; this lot is natural, not washed; 2026, not 2025'),
  ).toBeVisible();
  await expect(page.getByLabel('Dose', { exact: true }).first()).toHaveValue('18');
});
