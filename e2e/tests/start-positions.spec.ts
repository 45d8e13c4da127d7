import { expect, test } from '@playwright/test';
import type { RecipeView } from '@vendu/contract';
import { signIn } from '../support/people';

test('a starting recipe takes positions of its own, and its plan does what they say', async ({ page }) => {
  await signIn(page, 'barista');
  await page.goto('/lots/3/start');
  const positions = page.getByRole('region', { name: 'Positions' });
  await expect(positions).toContainText('The positions of the house.');
  await expect(page.getByText(/sieved at/)).toBeHidden();
  await positions.getByRole('button', { name: 'Positions of this recipe' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('radio', { name: /^sieve out/ }).check();
  await dialog.getByRole('radio', { name: /^short/ }).check();
  await dialog.getByRole('button', { name: 'Close' }).click();
  await expect(positions).toContainText(/Other than the house: .*short.*sieve out/);
  await expect(page.getByText(/\d+ µm, sieved at 300 µm/).first()).toBeVisible();
  await expect(page.getByText(/the house stops early and lifts the brewer off/).first()).toBeVisible();
  // What was chosen outlives a reload, and goes with the recipe.
  await page.reload();
  await expect(positions).toContainText('sieve out');
  await page.getByRole('button', { name: 'Keep this recipe' }).click();
  await expect(page).toHaveURL(/\/recipes\/\d+$/);
  const id = new URL(page.url()).pathname.split('/').at(-1) ?? '';
  const recipe = (await (await page.request.get(`/api/recipes/${id}`)).json()) as RecipeView;
  expect(recipe.hasOwnSchools).toBe(true);
  expect(recipe.versions[0]?.plan).toMatchObject({ sieveUm: 300, lifts: true });
  // The address is the recipe's before its page has come, and the page that is left has such a button too.
  await expect(page.getByRole('link', { name: /^Brew version/ })).toBeVisible();
  await page.getByRole('button', { name: 'Use the house’s positions' }).click();
  await expect(page.getByText('The positions of the house.')).toBeVisible();
});

test('what others also do with such a lot is offered, taken, and kept with the recipe', async ({ page }) => {
  await signIn(page, 'barista');
  // An anaerobic natural.
  await page.goto('/lots/2/start');
  const hotFirst = page.getByLabel('The first pour hot, the rest cool');
  await expect(hotFirst).not.toBeChecked();
  await expect(page.getByText('91 °C', { exact: true }).first()).toBeVisible();
  await hotFirst.check();
  await expect(page.getByText('96 °C, 91 °C from pour 2')).toBeVisible();
  await page.reload();
  await expect(hotFirst).toBeChecked();
  await page.getByRole('button', { name: 'Keep this recipe' }).click();
  await expect(page).toHaveURL(/\/recipes\/\d+$/);
  await expect(page.getByLabel('Pour 2, kettle')).toHaveValue('91');
});
