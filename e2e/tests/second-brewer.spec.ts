import { expect, test } from '@playwright/test';
import type { RecipeView, StartingPreview } from '@vendu/contract';
import { expectClean } from '../support/axe';
import { signIn } from '../support/people';
import { startRecipe, storeBrew } from '../support/work';

test('a second brewer of a lot learns from the first one, and trail and map tell them apart', async ({
  page,
}) => {
  await signIn(page, 'barista');
  const cone = await startRecipe(page, 'In two brewers');
  const asked = { brewerId: 2, grinderId: 1 };
  const preview = async () =>
    (await (
      await page.request.post(`/api/lots/${cone.lot.id}/starting-recipe`, { data: asked })
    ).json()) as StartingPreview;
  const alone = await preview();
  // Every brew comes out far stronger than lots like it do.
  for (const tdsPercent of [1.62, 1.63, 1.61]) {
    const brew = await storeBrew(page, cone);
    const weighing = { revision: brew.revision, doseG: 16, waterG: 280, beverageG: 248, note: '' };
    await page.request.patch(`/api/brews/${brew.id}`, { data: weighing });
    await page.request.post(`/api/brews/${brew.id}/readings`, { data: { tdsPercent } });
  }
  const together = await preview();
  const width = ({ forecast: { tdsPercent } }: StartingPreview) => tdsPercent.high - tdsPercent.low;
  expect(width(together)).toBeLessThan(0.85 * width(alone));
  // More dissolves out of this lot: its start is coarser here too.
  expect(together.plan.grindUm).toBeGreaterThan(alone.plan.grindUm);

  await page.goto(`/lots/${cone.lot.id}/start`);
  await page.getByLabel('Brewer', { exact: true }).click();
  await page
    .getByRole('option', { name: /^Slipway flat/ })
    .first()
    .click();
  await expect(page.getByText('Learned from 3 brews of this lot in other kit')).toBeVisible();
  await page.getByRole('button', { name: 'Keep this recipe' }).click();
  await expect(page.getByRole('heading', { name: /^Slipway flat version 1/ })).toBeVisible();
  await expect(
    page.getByText(
      'Learned of the lot from 3 brews in the Kittiwake cone; how this brewer drains, only from its own.',
    ),
  ).toBeVisible();
  await expect(page.getByText('Rough ranges')).toBeHidden();

  const id = Number(/\d+$/.exec(page.url())?.[0]);
  const flat = (await (await page.request.get(`/api/recipes/${id}`)).json()) as RecipeView;
  const first = await storeBrew(page, flat);
  await page.request.post(`/api/brews/${first.id}/readings`, { data: { tdsPercent: 1.5 } });
  await page.goto(`/lots/${cone.lot.id}`);
  const row = page.getByRole('row').filter({ hasText: 'Brew 4' });
  await expect(row).toContainText('Slipway flat');
  await expect(row).toContainText('first brew in the Slipway flat');
  await expect(page.getByRole('row').filter({ hasText: 'Brew 3' })).toContainText('nothing, a repeat');
  const map = page.getByRole('figure').filter({ hasText: 'Slipway flat' });
  await expect(map).toContainText('Kittiwake cone');
  await expectClean(page);
});
