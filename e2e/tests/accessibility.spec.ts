import { AxeBuilder } from '@axe-core/playwright';
import { expect, test, type Page } from '@playwright/test';
import { signIn } from '../support/people';
import { benchPath, startRecipe } from '../support/work';

const WCAG = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'];

async function expectClean(page: Page): Promise<void> {
  const { violations } = await new AxeBuilder({ page }).withTags(WCAG).analyze();
  expect(
    violations.map(({ id, nodes }) => `${id}: ${nodes.map(({ target }) => target.join(' ')).join(' | ')}`),
  ).toEqual([]);
}

for (const [name, path, landmark] of [
  ['sign-in', '/sign-in', 'Sign in'],
  ['published list', '/r', 'Published recipes'],
  ['public card', '/r/umuseke-ridge-kittiwake-60', 'Umuseke Ridge'],
] as const) {
  test(`axe finds nothing on the ${name}`, async ({ page }) => {
    await page.goto(path);
    await expect(page.getByRole('heading', { name: landmark }).first()).toBeVisible();
    await expectClean(page);
  });
}

for (const [name, path, landmark] of [
  ['lots', '/lots', /^Lots/],
  ['new lot', '/lots/new', 'Take in a lot'],
  ['import', '/lots/import', 'Import from CSV'],
  ['starting recipe', '/lots/5/start', /^Starting recipe/],
  ['kit', '/kit', 'Kit'],
  ['schools', '/schools', 'Schools'],
  ['practice', '/practice', 'Practice'],
  ['lot', '/lots/2', 'Valle Sereno Anaerobic'],
  ['lot without brews', '/lots/5', 'Ermera Passion Co-ferment'],
  ['lot facts', '/lots/1/edit', /Facts of/],
  ['recipe', '/recipes/1', /Kittiwake 60/],
  ['brew', '/brews/3', 'Brew 3'],
  ['missing page', '/nowhere', 'Nothing here'],
] as const) {
  test(`axe finds nothing on the ${name} page`, async ({ page }) => {
    await signIn(page, 'lead');
    await page.goto(path);
    await expect(page.getByRole('heading', { name: landmark }).first()).toBeVisible();
    await expectClean(page);
  });
}

test('axe finds nothing on a form full of complaints', async ({ page }) => {
  await signIn(page, 'barista');
  await page.goto('/lots/new');
  await page.getByRole('button', { name: 'Take in the lot' }).click();
  await expect(page.getByText('Name is required.')).toBeVisible();
  await expectClean(page);
});

test('axe finds nothing on the bench, ready, running in the light and in the dark, and done', async ({
  page,
}) => {
  await signIn(page, 'barista');
  const recipe = await startRecipe(page, 'Bench for all');
  await page.goto(benchPath(recipe));
  await expect(page.getByText('Before the clock')).toBeVisible();
  await page.keyboard.press('s');
  await expect(page.getByText('skipped')).toBeVisible();
  await expectClean(page);
  // With all that can be on it: a stand-in with its brewer, a kettle, and a cup to be changed.
  await page.getByLabel('Which scale').selectOption({ label: 'simulated scale, usual hand' });
  await page.getByLabel('Which kettle thermometer').selectOption({ label: 'simulated thermometer' });
  await page.getByLabel('Fractions').selectOption({ label: 'a cup every 10 s' });
  await page.getByRole('heading', { name: 'Bench for all' }).click();
  await expect(page.getByText('simulated brewer')).toBeVisible();
  await page.keyboard.press('Space');
  await expect(page.getByText('Change the cup (F)')).toBeVisible();
  await expectClean(page);
  await page.keyboard.press('d');
  await expectClean(page);
  for (let mark = 0; mark < 4; mark++) await page.keyboard.press('Space');
  await expect(page.getByRole('button', { name: 'Save the brew and weigh it' })).toBeVisible();
  await expectClean(page);
});
