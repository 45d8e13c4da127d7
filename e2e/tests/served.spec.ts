import { expect, test } from '@playwright/test';
import { signIn } from '../support/people';
import { chooseKit, publish, startRecipe } from '../support/work';

test('needles, a shower plate, a level to wait for, a tail of its own and a decanted cup: board, bench, record, card', async ({
  page,
}) => {
  await signIn(page, 'lead');
  const recipe = await startRecipe(page, 'All that is done around it');
  await page.goto(`/recipes/${recipe.id}`);
  const forecast = page.getByRole('region', { name: 'Forecast' });
  await expect(forecast.getByText('Rough ranges')).toBeVisible();
  await page.getByText('Start, stream, pattern and height').click();
  await page.getByLabel('Pour 2, begins').selectOption({ label: 'when it has sunk to' });
  await page.getByLabel('Pour 2, water over the bed').fill('8');
  await page.keyboard.press('Enter');
  await page.getByLabel('Pour 3, stream').selectOption({ label: 'thin stream' });
  await expect(page.getByLabel('Pour 3, flow')).toHaveValue('4');
  await page.getByLabel('Pour 3, pattern').selectOption({ label: 'along the wall' });
  await page.getByLabel('Needles through the dry bed').check();
  await page.getByLabel('Shower plate on top: Drizzle plate').check();
  // The regulator of the kit and the plate do not fit on one brewer.
  await page.getByRole('button', { name: 'Sluice funnel, 2.4 g/s' }).click();
  await expect(page.getByText('do not fit on one brewer')).toBeVisible();
  await page.getByLabel('Flow regulator').fill('');
  await page.keyboard.press('Enter');
  await expect(page.getByText('do not fit on one brewer')).toBeHidden();
  await page.getByLabel('Tail into its own cup').check();
  await expect(page.getByText('Only a brewer that is lifted off leaves a tail')).toBeVisible();
  await page.getByLabel('Lift the brewer at the end').check();
  await expect(page.getByText('Only a brewer that is lifted off leaves a tail')).toBeHidden();
  await page.getByLabel('Beverage', { exact: true }).selectOption({ label: 'stir before serving' });
  await page.getByLabel('Decant the beverage').check();
  await page.getByRole('button', { name: 'Save as version 2' }).click();
  await expect(page.getByText('as it is → stirred, decanted')).toBeVisible();
  await expect(page.getByText(/when the water stands 8 mm over the bed at 2/)).toBeVisible();

  await page.getByRole('link', { name: 'Brew version 2' }).click();
  await expect(page.getByRole('button', { name: 'Needles through the dry bed' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Shower plate on top' })).toBeVisible();
  const waterG = recipe.versions[0]?.plan.pours.reduce((sum, { amountG }) => sum + amountG, 0);
  await expect(page.getByText(`fill it with exactly ${waterG ?? ''} g and pour it all`)).toBeVisible();
  await page.keyboard.press('Space');
  for (const step of ['Swirl', 'Pour 2', 'Pour 3', 'Lift onto its own cup']) {
    await expect(page.getByRole('button', { name: new RegExp(`^${step} now`) })).toBeVisible();
    await page.keyboard.press('Space');
  }
  const serving = page.getByRole('list', { name: 'With the beverage' }).getByRole('listitem');
  await expect(serving).toHaveText([
    /^Stand the brewer on its own cup: the tail is weighed and tasted apart\./,
    /^Stir the beverage\./,
    /^Decant it into another vessel\./,
  ]);
  await page.getByRole('button', { name: 'Left out: decanting' }).click();
  await page.getByRole('button', { name: 'Left out: mixing' }).click();
  await page.getByRole('button', { name: 'Left out: mixing' }).click();
  await page.getByRole('button', { name: 'Save the brew' }).click();
  await expect(page.getByRole('heading', { name: /^Brew \d/ })).toBeVisible();
  await page.getByRole('tab', { name: /^Record/ }).click();
  await expect(page.getByText('not decanted')).toBeVisible();
  await expect(page.getByText('beverage not mixed')).toBeHidden();
  await page.getByRole('tab', { name: /^Measure/ }).click();
  await page.getByLabel('Tail', { exact: true }).fill('18.5');
  await page.keyboard.press('Enter');
  await page.getByLabel('Its taste').fill('thin, drying');
  await page.getByLabel('Its taste').blur();
  await expect(page.getByText(/^saved \d/)).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Tail', { exact: true })).toHaveValue('18.5');
  await expect(page.getByLabel('Its taste')).toHaveValue('thin, drying');

  await page.goto(await publish(page, recipe.id));
  for (const words of [
    'Lead the needles through the dry bed once around.',
    'Lay the shower plate on the brewer and pour through it.',
    'Stand the brewer on a cup of its own: what still runs out is not part of the beverage.',
    'Stir the beverage.',
    'Pour it over into another vessel before serving.',
  ]) {
    await expect(page.getByText(words)).toBeVisible();
  }
  await expect(page.getByText(/When the water stands 8 mm over the bed, pour .* g/)).toBeVisible();
});

test('a recipe scaled into another brewer is kept as a recipe of its own', async ({ page }) => {
  await signIn(page, 'barista');
  const recipe = await startRecipe(page, 'Scaled to share');
  await page.goto(`/recipes/${recipe.id}`);
  await expect(page.getByRole('region', { name: 'Forecast' }).getByText('Rough ranges')).toBeVisible();
  await page.getByText('Scale to another dose, brewer or grinder').click();
  await page.getByLabel('To a dose of').fill('30');
  await page.keyboard.press('Enter');
  await chooseKit(page, 'In the brewer', 'Lantern carafe');
  await page.getByRole('button', { name: 'Work it out' }).click();
  await expect(page.getByText(/^30 g, \d+ g, 1:/)).toBeVisible();
  await page.getByRole('button', { name: /^Keep it as a recipe for Lantern carafe/ }).click();
  await expect(page.getByRole('heading', { name: 'Lantern carafe version 1' })).toBeVisible();
  expect(page.url()).not.toContain(`/recipes/${recipe.id}`);
  await expect(page.getByLabel('Dose', { exact: true })).toHaveValue('30');
  await expect(page.getByText(/^Scaled from Kittiwake cone, \d+ g$/)).toBeVisible();
});
