import { expect, test, type Locator } from '@playwright/test';
import { pageOf, PEOPLE, signIn } from '../support/people';
import { startRecipe, storeBrew } from '../support/work';

test.beforeEach(async ({ page }) => {
  await signIn(page, 'barista');
});

test('a lot with faults is told at each field, and nothing typed is lost to a reload', async ({ page }) => {
  await page.goto('/lots/new');
  await page.getByLabel('Name').fill('Half a lot');
  await page.getByLabel('Elevation').fill('2000-1500');
  await page.getByLabel('Stock weighed in').fill('plenty');
  await page.getByLabel('Roast date').fill('2999-01-01');
  await page.getByRole('button', { name: 'Add the lot' }).click();
  await expect(page.getByText('Country must be chosen from the list.')).toBeVisible();
  await expect(page.getByText('Process must be one of')).toBeVisible();
  await expect(page.getByText('The range runs downwards, from 2000 to 1500 m')).toBeVisible();
  await expect(page.getByText('“plenty” is not a mass', { exact: false })).toBeVisible();
  await expect(page.getByText('Roast date lies in the future')).toBeVisible();
  await expect(page.getByLabel('Stock weighed in')).toHaveAttribute('aria-invalid', 'true');
  await page.reload();
  await expect(page.getByLabel('Name')).toHaveValue('Half a lot');
  await expect(page.getByLabel('Stock weighed in')).toHaveValue('plenty');
});

test('a figure that cannot be read stays as typed with the reason, and an impossible plan cannot be saved', async ({
  page,
}) => {
  const recipe = await startRecipe(page, 'Odd figures');
  await page.goto(`/recipes/${recipe.id}`);
  const dose = page.getByLabel('Dose', { exact: true });
  await dose.fill('a lot');
  await dose.press('Enter');
  await expect(page.getByText('“a lot” is not a mass', { exact: false })).toBeVisible();
  await expect(dose).toHaveValue('a lot');
  await dose.fill('0');
  await dose.press('Enter');
  await expect(page.getByText('Dose must be 5 to 120 g.')).toBeVisible();
  await dose.press('Escape');
  await expect(dose).toHaveValue('16');

  const start = page.getByLabel('Pour 3, start');
  await start.fill('0:10');
  await start.press('Enter');
  await expect(page.getByText('Pour 3 must start after pour 2', { exact: false })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Save as version 2' })).toBeDisabled();
  await page.reload();
  await expect(page.getByLabel('Pour 3, start')).toHaveValue('0:10');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('Pour 3 must start after pour 2', { exact: false })).toBeHidden();
});

test('the first press after a corrected field counts, and nothing unreadable is left out unseen', async ({
  page,
}) => {
  const recipe = await startRecipe(page, 'First press');
  await page.goto(`/lots/${recipe.lot.id}`);
  const batch = page.locator('form').filter({ has: page.getByLabel('Another batch, roasted on') });
  await batch.getByLabel('Another batch, roasted on').fill('2026-11-02');
  await batch.getByLabel('End temperature').fill('hot');
  // Pressed by hand, where the button is when the finger comes down.
  const press = async () => {
    await batch.getByRole('button', { name: 'Add' }).hover();
    await page.mouse.down();
    await page.mouse.up();
  };
  await press();
  await expect(batch.getByText('“hot” is not a temperature', { exact: false })).toBeVisible();
  await expect(batch.getByLabel('End temperature')).toBeFocused();
  await batch.getByLabel('End temperature').fill('208');
  await press();
  await expect(page.getByRole('listitem').filter({ hasText: '208 °C' })).toBeVisible();
});

test('a beverage heavier than the water and a reading of 13 are caught at the field', async ({ page }) => {
  const brew = await storeBrew(page, await startRecipe(page, 'Heavy cup'));
  await page.goto(`/brews/${brew.id}`);
  const beverage = page.getByLabel('Beverage', { exact: true });
  await beverage.fill('300');
  await beverage.press('Enter');
  await expect(page.getByText('300 g is not lighter than the', { exact: false })).toBeVisible();
  await expect(beverage).toHaveValue('300');
  const reading = page.getByLabel('Reading 1, % TDS');
  await reading.fill('13');
  await reading.press('Enter');
  await expect(page.getByText('if 1.30 was meant, check the decimal point', { exact: false })).toBeVisible();
  await expect(reading).toHaveValue('13');
});

test('a version edited by two people: the second keeps his edits and puts them on top', async ({
  page,
  browser,
}) => {
  const recipe = await startRecipe(page, 'Two editors');
  const other = await pageOf(browser, 'secondBarista');
  for (const each of [page, other.page]) {
    await each.goto(`/recipes/${recipe.id}`);
    await expect(each.getByRole('heading', { name: /version 1/ })).toBeVisible();
  }
  await type(page.getByLabel('Kettle', { exact: true }), '90');
  await page.getByRole('button', { name: 'Save as version 2' }).click();
  await expect(page.getByRole('heading', { name: /version 2/ })).toBeVisible();

  await type(other.page.getByLabel('Grind', { exact: true }), '515');
  await other.page.getByRole('button', { name: 'Save as version 2' }).click();
  await expect(
    other.page.getByText('Version 2 was saved since you opened version 1', { exact: false }),
  ).toBeVisible();
  await expect(other.page.getByLabel('Grind', { exact: true })).toHaveValue('515');
  await other.page.getByRole('button', { name: 'Put mine on top of version 2' }).click();
  await other.page.getByRole('button', { name: 'Save as version 3' }).click();
  await expect(other.page.getByRole('heading', { name: /version 3/ })).toBeVisible();
  await other.context.close();
});

test('a session that ended loses no edit: sign in again and go on', async ({ page }) => {
  const recipe = await startRecipe(page, 'Lost session');
  await page.goto(`/recipes/${recipe.id}`);
  await type(page.getByLabel('Grind', { exact: true }), '655');
  // Ended on the server: an answer still on its way may bring a cookie back, but not the session.
  await page.request.delete('/api/session');
  await page.getByRole('button', { name: 'Save as version 2' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'Sign in to continue' })).toBeVisible();
  await page.reload();
  await page.getByRole('button', { name: new RegExp(PEOPLE.barista.name) }).click();
  await expect(page.getByLabel('Grind', { exact: true })).toHaveValue('655');
  await page.getByRole('button', { name: 'Save as version 2' }).click();
  await expect(page.getByRole('heading', { name: /version 2/ })).toBeVisible();
});

test('what was taken out or set aside can be put back', async ({ page }) => {
  const brew = await storeBrew(page, await startRecipe(page, 'Second thoughts'));
  await page.goto(`/brews/${brew.id}`);
  await page.getByLabel('Reading 1, % TDS').fill('1.31');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Remove the reading 1.31 %' }).click();
  await expect(page.getByText('from three readings', { exact: false })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: 'Remove the reading 1.31 %' })).toBeVisible();
  await page.getByRole('button', { name: 'Exclude this brew' }).click();
  await expect(page.getByText('This brew is excluded', { exact: false })).toBeVisible();
  await page.getByRole('button', { name: 'Include it again' }).click();
  await expect(page.getByText('This brew is excluded', { exact: false })).toBeHidden();
  // Who did what stays with the brew.
  await page.getByRole('tab', { name: /^Record/ }).click();
  await page.getByText('What was changed, by whom').click();
  await expect(
    page.getByRole('listitem').filter({ hasText: /1\.31 %, reading: removed none → / }),
  ).toHaveCount(1);
  await expect(page.getByRole('listitem').filter({ hasText: /excluded none → / })).toHaveCount(1);
});

test('addresses that name nothing say so and lead on', async ({ page }) => {
  for (const path of ['/lots/99999', '/recipes/abc', '/brews/0', '/nowhere']) {
    await page.goto(path);
    await expect(page.getByRole('heading', { name: 'Page not found' })).toBeVisible();
  }
  await page.goto('/r/none');
  await expect(page.getByRole('heading', { name: 'No such recipe' })).toBeVisible();
});

async function type(field: Locator, text: string): Promise<void> {
  await field.fill(text);
  await field.press('Enter');
  await field.blur();
}
