import { expect, test } from '@playwright/test';
import type { RecipeView } from '@vendu/contract';
import { signIn } from '../support/people';
import { installStandIns, layOut, stored } from '../support/standIns';
import { startRecipe } from '../support/work';

test('a pour that waits until all is through, and an end within a window, brewed on the stand-in', async ({
  page,
}) => {
  await installStandIns(page);
  await signIn(page, 'barista');
  const recipe = await startRecipe(page, 'Waits on the stand-in');
  const [first] = recipe.versions;
  if (!first) throw new Error('a recipe without a version');
  const [bloom, second, ...later] = first.plan.pours;
  const pours = [bloom, { ...second, startsWhen: 'through' }, ...later];
  const plan = { ...first.plan, pours, drawdownS: 300, endWithinS: 120 };
  const answer = await page.request.post(`/api/recipes/${recipe.id}/versions`, {
    data: { basedOn: 1, plan, note: 'waits' },
  });
  const waiting = (await answer.json()) as RecipeView;
  await layOut(page, waiting, 'simulated scale, steady hand');
  await expect(page.getByText('5:00 to 7:00').first()).toBeVisible();
  await page.keyboard.press('Space');
  await page.getByRole('button', { name: 'Swirl now' }).click();
  // No clock calls it: half a minute after its time nobody says that it is late.
  await page.clock.runFor(75_000);
  await expect(page.getByRole('button', { name: 'Pour 2 now' })).toBeVisible();
  await expect(page.getByText(/^(in|late) (\d+ s|\d+:\d\d)$/)).toHaveCount(0);
  await page.keyboard.press('Space');
  await page.clock.runFor(50_000);
  await expect(page.getByRole('button', { name: 'Pour 3 now' })).toBeVisible();
  await page.keyboard.press('Space');
  await expect(page.getByRole('button', { name: 'Drained now' })).toBeVisible();
  // Into the window of the end: neither early nor late.
  await page.clock.runFor(220_000);
  await expect(page.getByText(/^late/)).toHaveCount(0);
  await page.keyboard.press('Space');
  const { brew, trace } = await stored(page);
  const doneS = brew.steps.map(({ atS }) => atS);
  expect(doneS[2]).toBeGreaterThan(70);
  expect(doneS.at(-1)).toBeGreaterThan(300);
  // What was poured by the stand-in hand was poured when it was told to.
  const at = (atS: number) => trace?.massG[trace.atMs.findIndex((each) => each >= atS * 1000)] ?? NaN;
  expect(Math.abs(at(60) - (bloom?.amountG ?? 0))).toBeLessThan(4);
  expect(at((doneS[2] ?? 0) + 30)).toBeGreaterThan(at(60) + 50);
  await page.getByRole('tab', { name: /^Record/ }).click();
  const row = page.getByRole('row').filter({ hasText: 'Drained' }).first();
  await expect(row).toContainText('5:00 to 7:00');
  await expect(row).not.toContainText(/late|early/);
});
