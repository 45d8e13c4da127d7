import { expect, test } from '@playwright/test';
import { expectClean } from '../support/axe';
import { signIn } from '../support/people';
import { startRecipe, storeBrew } from '../support/work';

test('the cups of a split brew say where to cut, and the cut goes on the board with what it is to do', async ({
  page,
}) => {
  await signIn(page, 'barista');
  const recipe = await startRecipe(page, 'Cut where it turns');
  const brew = await storeBrew(page, recipe);
  const cup = (startS: number, endS: number, beverageG: number, tdsPercent: number, isWanted: boolean) => ({
    startS,
    endS,
    beverageG,
    tdsPercent,
    colour: '',
    haze: null,
    notes: '',
    isWanted,
  });
  const fractions = [
    cup(0, 20, 30, 4.2, true),
    cup(20, 100, 70, 1.9, true),
    cup(100, 140, 80, 0.9, true),
    cup(140, 200, 60, 0.4, false),
  ];
  await page.request.put(`/api/brews/${brew.id}/fractions`, { data: { fractions } });
  await page.goto(`/brews/${brew.id}`);
  await page.getByRole('tab', { name: /^Cups/ }).click();
  const cut = page.getByRole('region', { name: 'Where to cut' });
  await expect(cut).toContainText('The cups turn at 2:20, after 180 g: from there on they were not wanted.');
  // (30 x 4.2 + 70 x 1.9 + 80 x 0.9) / 180, and over 16 g of dose.
  await expect(cut).toContainText(/Lifted at 2:20 this brew was 180 g, 1\.84 % strong, 20\.7 % of the dose/);
  await expectClean(page);
  const slider = cut.getByRole('slider', { name: 'Lifted at' });
  await slider.focus();
  await page.keyboard.press('Home');
  await expect(cut).toContainText('No brew is lifted as soon as that.');
  await page.keyboard.press('PageUp');
  await page.keyboard.press('PageUp');
  await expect(cut).toContainText('Lifted at 0:20');
  // Only the bloom is in by then.
  await expect(cut.getByRole('button', { name: 'Put this cut on the board' })).toBeDisabled();
  await page.keyboard.press('End');
  await expect(cut).toContainText('Lifted at 3:20 this brew was 240 g');
  for (let step = 0; step < 6; step++) await page.keyboard.press('PageDown');
  await expect(cut).toContainText('Lifted at 2:20');
  await cut.getByRole('button', { name: 'Put this cut on the board' }).click();

  await expect(page.getByLabel('Lift the brewer at the end')).toBeChecked();
  await expect(page.getByLabel('What changed and why')).toHaveValue(
    'Lifted at 2:20, where the cups of brew 1 turn',
  );
  await expect(page.getByRole('group', { name: 'What it is to do' }).getByText('Strength')).toBeVisible();
  await page.getByRole('button', { name: 'Save as version 2' }).click();
  await expect(page.getByText(/^To do: strength \+0\.\d\d/)).toBeVisible();
});
