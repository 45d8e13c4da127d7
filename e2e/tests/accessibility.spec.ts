import { expect, test, type Page } from '@playwright/test';
import { expectClean } from '../support/axe';
import { signIn } from '../support/people';
import { refusals } from '../support/policy';
import { benchPath, startRecipe } from '../support/work';

/** A phone, a laptop at 200 % zoom, and the bench. */
const SIZES = [
  { width: 390, height: 844 },
  { width: 640, height: 400 },
  { width: 1280, height: 800 },
];

/** What of a page is wider than its screen, or lies under something else when it is brought into view. */
async function misplaced(page: Page): Promise<string[]> {
  return page.evaluate(() => {
    const nameOf = (element: Element) =>
      `${element.tagName.toLowerCase()} “${(element.textContent || element.getAttribute('aria-label') || '').trim().slice(0, 40)}”`;
    const found: string[] = [];
    const { scrollWidth, clientWidth } = document.documentElement;
    if (scrollWidth > clientWidth) found.push(`the page is ${scrollWidth - clientWidth} px too wide`);
    for (const control of document.querySelectorAll('a[href], button, input, select, textarea')) {
      control.scrollIntoView({ block: 'center', inline: 'center' });
      const { left, top, width, height } = control.getBoundingClientRect();
      const isShown = control.checkVisibility({
        contentVisibilityAuto: true,
        opacityProperty: true,
        visibilityProperty: true,
      });
      if (!isShown || width <= 1 || height <= 1) continue;
      const over = document.elementFromPoint(left + width / 2, top + height / 2);
      const isItself =
        over &&
        (control.contains(over) || over.contains(control) || over.closest('label')?.contains(control));
      if (!isItself)
        found.push(`${nameOf(control)} lies under ${over ? nameOf(over) : 'the edge of the screen'}`);
    }
    scrollTo(0, 0);
    return found;
  });
}

/** Clean at the bench in the light and in the dark, with every control in reach at every size. */
async function expectGood(page: Page): Promise<void> {
  await expectClean(page);
  await page.emulateMedia({ colorScheme: 'dark' });
  // Sheet and ink have changed places, whoever saw to it.
  await expect(page.locator('html')).toHaveCSS('color-scheme', 'dark');
  await expectClean(page, ['color-contrast']);
  await page.emulateMedia({ colorScheme: 'light' });
  for (const size of SIZES) {
    await page.setViewportSize(size);
    // Charts follow the screen a moment later.
    await expect.poll(() => misplaced(page), { message: `at ${size.width} px` }).toEqual([]);
  }
}

for (const [name, path, landmark] of [
  ['sign-in', '/sign-in', 'Sign in'],
  ['published list', '/r', 'Published recipes'],
  ['public card', '/r/umuseke-ridge-kittiwake-cone', 'Umuseke Ridge'],
] as const) {
  test(`axe finds nothing on the ${name}, and its policy refuses nothing`, async ({ page }) => {
    const refused = refusals(page);
    await page.goto(path);
    await expect(page.getByRole('heading', { name: landmark }).first()).toBeVisible();
    await expectGood(page);
    expect(refused).toEqual([]);
  });
}

for (const [name, path, landmark] of [
  ['today', '/today', /^Today/],
  ['lots', '/lots', /^Lots/],
  ['cups to taste', '/cups', 'Cups to taste'],
  ['compare', '/compare', /^Compare/],
  ['new comparison', '/compare/new?lot=2', 'New comparison'],
  ['comparison', '/compare/1', 'Cone or flat bottom for the card?'],
  ['watch', '/watch', /^Watch/],
  ['watched recipe', '/recipes/6/watch', /went off$/],
  ['report', '/reports/dial-in', 'To a recipe'],
  ['in and out', '/in-and-out', 'In and out'],
  ['new lot', '/lots/new', 'Add a lot'],
  ['import', '/lots/import', 'Import from CSV'],
  ['starting recipe', '/lots/5/start', /^Starting recipe/],
  ['kit', '/kit', 'Kit'],
  ['house style', '/schools', 'House style'],
  ['practice', '/practice', 'Practice'],
  ['lot', '/lots/2', 'Valle Sereno Anaerobic'],
  ['lot without brews', '/lots/5', 'Ermera Passion Co-ferment'],
  ['lot facts', '/lots/1/edit', /Facts of/],
  ['recipe', '/recipes/1', /Kittiwake cone/],
  ['proof', '/recipes/4/proof/9', 'Proof of version 2'],
  ['brew, measured', '/brews/3#measure', 'Brew 3'],
  ['brew, tasted', '/brews/3#taste', 'Brew 3'],
  ['brew, at the cup', '/brews/3/taste/cool', 'Taste it cool'],
  ['brew, its record', '/brews/3#record', 'Brew 3'],
  ['missing page', '/nowhere', 'Page not found'],
] as const) {
  test(`axe finds nothing on the ${name} page, and its policy refuses nothing`, async ({ page }) => {
    await signIn(page, 'lead');
    const refused = refusals(page);
    await page.goto(path);
    await expect(page.getByRole('heading', { name: landmark }).first()).toBeVisible();
    await expectGood(page);
    expect(refused).toEqual([]);
  });
}

test('axe finds nothing on a form full of complaints', async ({ page }) => {
  await signIn(page, 'barista');
  await page.goto('/lots/new');
  await page.getByRole('button', { name: 'Add the lot' }).click();
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
  await expect(page.getByRole('button', { name: 'Save the brew' })).toBeVisible();
  await expectClean(page);
});
