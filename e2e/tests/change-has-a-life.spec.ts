import { expect, test, type Page } from '@playwright/test';
import type { BrewView, RecipeView } from '@vendu/contract';
import { expectClean } from '../support/axe';
import { signIn } from '../support/people';
import { startRecipe, storeBrew } from '../support/work';

/** A brew of the newest version, weighed, read and tasted. */
async function brewed(
  page: Page,
  recipe: RecipeView,
  { tdsPercent, beverageG, notes }: { tdsPercent: number; beverageG: number; notes: string },
): Promise<BrewView> {
  const brew = await storeBrew(page, recipe);
  const path = `/api/brews/${brew.id}`;
  const weighing = { revision: brew.revision, doseG: 16, waterG: 280, beverageG, note: '' };
  await page.request.patch(path, { data: weighing });
  for (const reading of [tdsPercent - 0.01, tdsPercent, tdsPercent + 0.01]) {
    await page.request.post(`${path}/readings`, { data: { tdsPercent: reading } });
  }
  await page.request.put(`${path}/tastings/warm`, { data: { notes, intensities: {} } });
  return brew;
}

test('a change is proposed, says what it is to do, is brewed, and the trail says what came; a rule that missed counts for less', async ({
  page,
}) => {
  await signIn(page, 'barista');
  const recipe = await startRecipe(page, 'A dry cup to mend');
  await brewed(page, recipe, { tdsPercent: 1.55, beverageG: 250, notes: 'drying finish' });
  await page.goto(`/lots/${recipe.lot.id}`);
  const taught = page.getByRole('region', { name: 'What the lot has taught' });
  await expect(taught).toContainText('by one brew');
  await expect(taught).toContainText(/1\.5\d %.*where lots like it give 1\.\d\d %/);
  await expect(taught).toContainText('Teaches most next');
  const proposal = page.getByRole('listitem').filter({ hasText: 'a dry finish with a high yield' }).first();
  await proposal.getByRole('button', { name: 'Try this change' }).click();

  const expected = page.getByRole('group', { name: 'What it is to do' });
  await expect(expected.getByRole('button', { name: 'no longer dry', pressed: true })).toBeVisible();
  await expect(expected.getByText('Strength')).toBeVisible();
  await page.getByLabel('A note it is to bring').fill('florals');
  await page.keyboard.press('Enter');
  await page.getByLabel('More of').selectOption('sweetness');
  await expect(expected.getByRole('button', { name: 'more sweetness', pressed: true })).toBeVisible();
  await expected.getByRole('button', { name: 'more sweetness' }).click();
  await expectClean(page);
  // A reload loses nothing of it.
  await page.reload();
  await expect(expected.getByRole('button', { name: '“florals” in the notes', pressed: true })).toBeVisible();
  await expect(expected.getByText('Strength')).toBeVisible();
  await page.getByRole('button', { name: 'Save as version 2' }).click();
  await expect(
    page.getByText(/^To do: strength −0\.\d\d, .*no longer dry, “florals” in the notes; not brewed yet$/),
  ).toBeVisible();

  const second = (await (await page.request.get(`/api/recipes/${recipe.id}`)).json()) as RecipeView;
  const brew = await brewed(page, second, {
    tdsPercent: 1.45,
    beverageG: 250,
    notes: 'florals, still drying',
  });
  await page.goto(`/brews/${brew.id}`);
  await page.getByRole('tab', { name: /^Measure/ }).click();
  await expect(page.getByRole('heading', { name: 'What the change did' })).toBeVisible();
  await page.keyboard.press('n');
  await expect(page).toHaveURL(`/lots/${recipe.lot.id}#next-change`);

  const came = page.getByRole('list', { name: 'What the change to version 2 did' });
  await expect(came.getByRole('listitem').filter({ hasText: 'strength −0.10, was to do −0.' })).toBeVisible();
  const hoped = (words: string) => came.getByRole('listitem').filter({ hasText: words }).getByRole('img');
  await expect(hoped('no longer dry, hoped for')).toHaveAccessibleName('not as expected');
  await expect(hoped('“florals” in the notes')).toHaveAccessibleName('as expected');
  await expect(
    page.getByText(/By this rule, \d of \d came true here, so it counts for \d+ % of its weight\./).first(),
  ).toBeVisible();

  await page.goto('/schools#scores');
  const scores = page.getByRole('row').filter({ hasText: 'a dry finish with a high yield' });
  await expect(scores).toContainText('1 of 2');
  await expect(scores).toContainText('% of its weight');
});

test('a change of one’s own that moves two things says so, and counts for whoever made it', async ({
  page,
}) => {
  await signIn(page, 'barista');
  const recipe = await startRecipe(page, 'Two things at once');
  await brewed(page, recipe, { tdsPercent: 1.3, beverageG: 245, notes: 'tea' });
  await page.goto(`/recipes/${recipe.id}`);
  await page.getByLabel('Grind', { exact: true }).fill('700');
  await page.keyboard.press('Enter');
  await page.getByLabel('Kettle', { exact: true }).fill('92');
  await page.keyboard.press('Enter');
  await page.getByLabel('A note it is to bring').fill('plum');
  await expect(page.getByRole('group', { name: 'What it is to do' }).getByText('Strength')).toBeVisible();
  await page.getByRole('button', { name: 'Save as version 2' }).click();
  await expect(page.getByText(/^To do: /)).toBeVisible();
  const second = (await (await page.request.get(`/api/recipes/${recipe.id}`)).json()) as RecipeView;
  await brewed(page, second, { tdsPercent: 1.31, beverageG: 245, notes: 'ripe plums' });
  await page.goto(`/lots/${recipe.lot.id}`);
  const came = page.getByRole('list', { name: 'What the change to version 2 did' });
  await expect(came.getByText('grind and kettle moved at once: open which of them did it')).toBeVisible();
  await expect(came.getByText(/^Not told apart from the brew before: strength/)).toBeVisible();
  await page.goto('/schools#scores');
  await expect(page.getByRole('row').filter({ hasText: 'Tamsin Ekelundown changes' })).toContainText(
    'own changes, in the cup',
  );
});
