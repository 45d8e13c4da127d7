import { expect, test } from '@playwright/test';
import { signIn } from '../support/people';
import { chooseKit, startRecipe } from '../support/work';

test('another bottom of a brewer is added, follows its body, and starts a recipe of its own', async ({
  page,
}) => {
  await signIn(page, 'barista');
  await page.goto('/kit');
  await page.getByRole('button', { name: 'Another bottom for Kittiwake cone' }).click();
  const form = page.getByRole('dialog');
  // What the body has is not asked again.
  await expect(form.getByLabel('Top diameter, inside')).toHaveCount(0);
  for (const [label, text] of [
    ['Name', 'Kittiwake, three holes'],
    ['Hole', '4'],
    ['Holes', '3'],
    ['Maker advises from', '98'],
    ['Maker advises to', '99'],
  ] as const) {
    await form.getByLabel(label, { exact: true }).fill(text);
  }
  await form.getByRole('button', { name: 'Save' }).click();
  await expect(form).toBeHidden();
  await expect(
    page.getByText(/another bottom of Kittiwake cone: 3 holes of 4 mm.*maker advises 98 to 99 °C/),
  ).toBeVisible();

  const recipe = await startRecipe(page, 'In two bottoms');
  await page.goto(`/lots/${recipe.lot.id}/start`);
  await chooseKit(page, 'Brewer', 'Kittiwake, three holes');
  await expect(page.getByText(/small holes or a valve: the brewer holds back the flow/)).toBeVisible();
  await expect(page.getByText(/the maker advises 98 to 99 °C/)).toBeVisible();
});

test('a sieve of the kit goes into a plan, and a kettle says what it cannot pour', async ({ page }) => {
  await signIn(page, 'barista');
  await page.goto('/kit');
  await page.getByRole('button', { name: 'Add a sieve' }).click();
  const form = page.getByRole('dialog');
  await form.getByLabel('Name').fill('Trawl mesh');
  await form.getByLabel('Holes').fill('2');
  await form.getByRole('button', { name: 'Save' }).click();
  await expect(form.getByText('Holes must be a whole number from 100 to 1000 µm.')).toBeVisible();
  await form.getByLabel('Holes').fill('320');
  await form.getByRole('button', { name: 'Save' }).click();
  await expect(form).toBeHidden();

  const recipe = await startRecipe(page, 'Sieved by the kit');
  await page.goto(`/recipes/${recipe.id}`);
  await expect(page.getByRole('region', { name: 'Forecast' }).getByText('Rough ranges')).toBeVisible();
  await page.getByText('Second grind and sieve').click();
  await page.getByRole('button', { name: 'Trawl mesh, 320 µm' }).click();
  await expect(page.getByText(/about [\d.]+ g of fines go/)).toBeVisible();
  await chooseKit(page, 'Which kettle', 'Cormorant gooseneck');
  const flow = page.getByLabel('Pour 2, flow');
  await flow.fill('16');
  await page.keyboard.press('Enter');
  await expect(page.getByText('this kettle pours 14 g/s at most')).toBeVisible();
  await flow.fill('12');
  await page.keyboard.press('Enter');
  await expect(page.getByText('this kettle pours 14 g/s at most')).toBeHidden();
});

test('what others state of two grinders stands against what was measured, and is removed with a way back', async ({
  page,
}) => {
  await signIn(page, 'barista');
  await page.goto('/kit');
  await page.getByRole('button', { name: 'Add a statement' }).click();
  const form = page.getByRole('dialog');
  await form.getByLabel('this setting').fill('4');
  await form.getByLabel('that setting').fill('30');
  await form.getByLabel('Who says so').fill('a forum table');
  await form.getByRole('button', { name: 'Save' }).click();
  await expect(form).toBeHidden();
  const row = page.getByRole('row').filter({ hasText: 'a forum table' }).first();
  await expect(row).toContainText(/measured otherwise: 605 and 10\d\d µm/);
  // Finer on the one and coarser on the other than another statement has it.
  await expect(row).toContainText(
    'Lighthouse Street bar states otherwise: Halyard 6 = Sextant hand grinder 22',
  );
  await page.getByRole('button', { name: 'Remove Halyard 4 = Sextant hand grinder 30' }).click();
  await expect(page.getByRole('button', { name: 'Remove Halyard 4 = Sextant hand grinder 30' })).toBeHidden();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(
    page.getByRole('button', { name: 'Remove Halyard 4 = Sextant hand grinder 30' }),
  ).toBeVisible();
});

test('a grinder is calibrated from timed reference brews, step by step, and its settings get words', async ({
  page,
}) => {
  await page.clock.install();
  await signIn(page, 'barista');
  await page.goto('/kit');
  await page.getByRole('button', { name: 'Add a grinder' }).click();
  const form = page.getByRole('dialog');
  await form.getByLabel('Grinder', { exact: true }).fill('Winch mill');
  await form.getByLabel('Burr set').fill('first set');
  await form.getByText('From a reference brew instead').click();
  await form.getByRole('button', { name: 'Work out the points' }).click();
  await expect(form.getByText('Time the known size once, and at least two settings.')).toBeVisible();
  const timed = async (label: string, seconds: number) => {
    await form.getByRole('button', { name: `Start timing: ${label}` }).click();
    await page.clock.runFor(seconds * 1000);
    await form.getByRole('button', { name: `Drained: ${label}` }).click();
    await expect(form.getByLabel(label, { exact: true })).not.toHaveValue('');
  };
  await timed('It drained at', 170);
  await expect(form.getByLabel('It drained at', { exact: true })).toHaveValue('2:50');
  for (const [index, setting, seconds] of [
    [1, '10', 230],
    [2, '20', 150],
  ] as const) {
    await form.getByLabel(`Setting ${index}`, { exact: true }).fill(setting);
    await page.keyboard.press('Tab');
    await timed(`Drain time ${index}`, seconds);
  }
  await form.getByRole('button', { name: 'Work out the points' }).click();
  await expect(form.getByLabel('Size of point 1')).toHaveValue(/^\d{3}$/);
  await form.getByRole('button', { name: 'Add a word' }).click();
  await form.getByLabel('Word 1', { exact: true }).fill('filter');
  await form.getByLabel('Word 1 from').fill('10');
  await page.keyboard.press('Tab');
  await form.getByLabel('Word 1 to').fill('20');
  await page.keyboard.press('Tab');
  await form.getByRole('button', { name: 'Save' }).click();
  await expect(form).toBeHidden();
  await expect(page.getByRole('img', { name: /Curve of Winch mill/ })).toBeVisible();
  await page.getByLabel('or size').fill('700');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('row').filter({ hasText: 'Winch mill' })).toContainText('filter');
});
