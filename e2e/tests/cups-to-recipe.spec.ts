import { expect, test } from '@playwright/test';
import { expectClean } from '../support/axe';
import { signIn } from '../support/people';
import { takeClockInHand } from '../support/standIns';
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
    colour: 'amber',
    haze: 'slight',
    notes: '',
    isWanted,
  });
  const fractions = [
    cup(0, 20, 30, 4.2, true),
    cup(20, 100, 70, 1.9, true),
    cup(100, 140, 80, 0.9, true),
    cup(140, 200, 60, 0.4, false),
  ];
  const put = (cups: object[]) =>
    page.request.put(`/api/brews/${brew.id}/fractions`, { data: { fractions: cups } });
  // Said otherwise, a cup is told with who did.
  await put([cup(0, 20, 31, 4.2, true), ...fractions.slice(1)]);
  await put(fractions);
  await page.goto(`/brews/${brew.id}`);
  await page.getByRole('tab', { name: /^Record/ }).click();
  await page.getByText('What was changed, by whom').click();
  await expect(page.getByText('cup 1: mass 31 g → 30 g')).toBeVisible();
  await page.getByRole('tab', { name: /^Cups/ }).click();
  const row = page.getByRole('list', { name: 'Cups in a row' });
  await expect(row.getByRole('listitem')).toHaveCount(4);
  await expect(row).toContainText('amber, slight, wanted');
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
  await expect(cut.getByRole('button', { name: 'Put this on the board' })).toBeDisabled();
  await page.keyboard.press('End');
  await expect(cut).toContainText('Lifted at 3:20 this brew was 240 g');
  for (let step = 0; step < 6; step++) await page.keyboard.press('PageDown');
  await expect(cut).toContainText('Lifted at 2:20');
  // What is expected of it is worked out in place, and again for what is asked besides.
  const expected = cut.getByRole('status', { name: 'Expected of it' });
  await expect(expected).toContainText(/Strength\+0\.\d\d to \d\.\d\d %/);
  const asCut = await expected.textContent();
  await cut.getByLabel('Without the bloom').check();
  await cut.getByLabel('Water poured early').fill('75');
  await cut.getByLabel('before', { exact: true }).fill('0:30');
  await page.keyboard.press('Enter');
  await expect(expected).toContainText(/Strength/);
  expect(await expected.textContent()).not.toBe(asCut);
  await cut.getByLabel('Without the bloom').uncheck();
  await cut.getByLabel('Water poured early').fill('');
  await page.keyboard.press('Enter');
  await expect(expected).toHaveText(asCut ?? '');
  await cut.getByRole('button', { name: 'Put this on the board' }).click();

  await expect(page.getByLabel('Lift the brewer at the end')).toBeChecked();
  await expect(page.getByLabel('What changed and why')).toHaveValue(
    'Lifted at 2:20, after the cups of brew 1',
  );
  await expect(page.getByRole('group', { name: 'What it is to do' }).getByText('Strength')).toBeVisible();
  await page.getByRole('button', { name: 'Save as version 2' }).click();
  await expect(page.getByText(/^To do: strength \+0\.\d\d/)).toBeVisible();
});

test('a row of cups is planned with the recipe, uneven, and called at the bench', async ({ page }) => {
  await signIn(page, 'barista');
  const recipe = await startRecipe(page, 'Cups as planned');
  await page.goto(`/recipes/${recipe.id}`);
  const fractions = page.getByRole('textbox', { name: 'Fractions' });
  await fractions.fill('40 41');
  await fractions.press('Enter');
  await expect(page.getByText('Change 2 of the cups is at 41 s; allowed: 43 to 3600 s.')).toBeVisible();
  await fractions.fill('12, 59:00');
  await fractions.press('Enter');
  await expect(page.getByText(/^Every change of cups comes before the end: the brew ends at/)).toBeVisible();
  await fractions.fill('12 30');
  await fractions.press('Enter');
  await expect(fractions).toHaveValue('at 0:12 and 0:30');
  await page.getByRole('button', { name: 'Save as version 2' }).click();
  await expect(page.getByText('one → at 0:12 and 0:30')).toBeVisible();

  await page.getByRole('link', { name: 'Brew version 2' }).click();
  await expect(page.getByRole('button', { name: '3 cups in a row, changed at 0:12 and 0:30' })).toBeVisible();
  // Typed at the bench, letter by letter: a row of cups has spaces, and they start no clock.
  const changed = page.getByRole('textbox', { name: 'Cups changed' });
  await changed.click();
  await page.keyboard.type('0:10 0:30');
  await expect(page.getByText('Before the clock')).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(changed).toHaveValue('at 0:10 and 0:30');
  await expect(page.getByRole('button', { name: '3 cups in a row, changed at 0:10 and 0:30' })).toBeVisible();
  await takeClockInHand(page);
  await page.keyboard.press('Space');
  const call = page.getByRole('alert').filter({ hasText: 'Change the cup' });
  await expect(page.getByText('next cup at 0:10')).toBeVisible();
  await page.clock.runFor(8_500);
  await expect(call).toBeVisible();
  await page.keyboard.press('f');
  await expect(page.getByText('next cup at 0:30')).toBeVisible();
  await page.clock.runFor(20_000);
  await expect(call).toBeVisible();
  await page.keyboard.press('f');
  await page.clock.runFor(20_000);
  await expect(call).toBeHidden();
  await expect(page.getByText('next cup at')).toBeHidden();
});

test('two series of cups are laid beside each other, by time or by mass', async ({ page }) => {
  await signIn(page, 'barista');
  const recipe = await startRecipe(page, 'Cups beside cups');
  const split = async (laterS: number) => {
    const brew = await storeBrew(page, recipe);
    const strengths = [5, 3.4, 2.1, 1.2, 0.7, 0.4];
    const fractions = strengths.map((tdsPercent, index) => ({
      startS: index === 0 ? 0 : laterS + index * 20,
      endS: laterS + (index + 1) * 20,
      beverageG: 40,
      tdsPercent,
      colour: '',
      haze: null,
      notes: '',
      isWanted: null,
    }));
    await page.request.put(`/api/brews/${brew.id}/fractions`, { data: { fractions } });
    return brew;
  };
  await split(0);
  const later = await split(20);
  await page.goto(`/brews/${later.id}#cups`);
  const beside = page.getByRole('region', { name: 'Beside another series' });
  await expect(beside).toContainText(/It runs (1[5-9]|2[0-5]) s behind brew 1/);
  await beside.getByRole('radio', { name: 'by mass' }).click();
  await expect(beside).toContainText('It runs as brew 1 does, gram by gram.');
  await expectClean(page);
});
