import { expect, test, type Locator } from '@playwright/test';
import type { RecipeView } from '@vendu/contract';
import { signIn } from '../support/people';
import { benchPath, startRecipe } from '../support/work';

test.beforeEach(async ({ page }) => {
  await signIn(page, 'barista');
});

test('the bench is worked by keys alone, with a swirl left out and a mark taken back', async ({ page }) => {
  const recipe = await startRecipe(page, 'Keys only');
  await page.goto(benchPath(recipe));
  await expect(page.getByText('Before the clock')).toBeVisible();
  await page.keyboard.press('Space');
  await expect(page.getByRole('button', { name: /Swirl now/ })).toBeVisible();
  await page.keyboard.press('s');
  await expect(page.getByRole('row', { name: /Swirl/ })).toContainText('skipped');
  await page.keyboard.press('u');
  await expect(page.getByRole('row', { name: /Swirl/ })).not.toContainText('skipped');
  await page.keyboard.press('Space');
  await page.keyboard.press('d');
  await expect(page.locator('html[data-theme=dark]')).toBeVisible();
  await page.keyboard.press('d');
  for (const name of [/Pour 2 now/, /Pour 3 now/, /Drained now/]) {
    await expect(page.getByRole('button', { name })).toBeVisible();
    await page.keyboard.press('Space');
  }
  await page.getByRole('button', { name: 'Save the brew' }).press('Enter');
  await expect(page.getByRole('heading', { name: 'Brew 1' })).toBeVisible();
});

test('the clock is the wall’s: leaving the page and sleeping lose no second', async ({ page }) => {
  await page.clock.install({ time: new Date('2026-11-23T10:00:00Z') });
  const recipe = await startRecipe(page, 'Wall clock');
  await page.goto(benchPath(recipe));
  await expect(page.getByText('Before the clock')).toBeVisible();
  const now = () => page.evaluate(() => Date.now());
  const beforeMs = await now();
  await page.keyboard.press('Space');
  const afterMs = await now();
  /** Whether a clock shows the wall's seconds since the start, however long the page took to show it. */
  async function followsTheWall(clock: Locator): Promise<void> {
    await expect(async () => {
      const leastS = Math.floor(((await now()) - afterMs) / 1000) - 1;
      const [, minutes, seconds] = (await clock.textContent())?.match(/(\d+):(\d\d)/) ?? [];
      const shownS = Number(minutes) * 60 + Number(seconds);
      expect(shownS).toBeGreaterThanOrEqual(leastS);
      expect(shownS).toBeLessThanOrEqual(((await now()) - beforeMs) / 1000);
    }).toPass();
  }
  await page.clock.fastForward('00:30');
  await page.getByRole('link', { name: /Leave/ }).click();
  await followsTheWall(page.getByRole('link', { name: /Wall clock/ }).first());
  await page.clock.fastForward('01:00');
  await page.getByRole('link', { name: /Back to the bench/ }).click();
  await followsTheWall(page.getByRole('timer'));
  await page.clock.fastForward('05:00');
  await page.reload();
  await followsTheWall(page.getByRole('timer'));
  await expect(page.getByRole('timer')).toHaveText(/^([6-9]|\d\d):/);
});

test('a clock that is set while a brew runs moves no mark of it', async ({ page }) => {
  await page.clock.install({ time: new Date('2026-11-23T10:00:00Z') });
  const recipe = await startRecipe(page, 'Clock set');
  await page.goto(benchPath(recipe));
  await expect(page.getByText('Before the clock')).toBeVisible();
  await page.keyboard.press('Space');
  await page.clock.fastForward('00:20');
  // By a day, as a device without a battery does once it finds the time of the world.
  await page.clock.setSystemTime(new Date('2026-11-24T10:00:20Z'));
  await page.clock.fastForward('00:10');
  await expect(page.getByRole('timer')).toHaveText(/^0:(3|4)\d/);
  for (let mark = 0; mark < 4; mark++) await page.keyboard.press('Space');
  await page.getByRole('button', { name: 'Save the brew' }).click();
  await expect(page.getByRole('heading', { name: 'Brew 1' })).toBeVisible();
  const { brews } = (await (await page.request.get(`/api/lots/${recipe.lot.id}`)).json()) as {
    brews: { steps: { atS: number }[] }[];
  };
  expect(brews[0]?.steps.at(-1)?.atS).toBeLessThan(120);
});

test('two pages of one device have one bench', async ({ page, context }) => {
  const recipe = await startRecipe(page, 'Two pages');
  await page.goto(benchPath(recipe));
  await expect(page.getByText('Before the clock')).toBeVisible();
  await page.keyboard.press('Space');
  const other = await context.newPage();
  await other.goto('/lots');
  const strip = other.getByRole('link', { name: /Back to the bench/ });
  await expect(strip).toContainText('next: Swirl');
  await page.keyboard.press('Space');
  await expect(strip).toContainText('next: Pour 2');
  await strip.click();
  await other.getByRole('button', { name: /Pour 2 now/ }).click();
  await expect(page.getByRole('button', { name: /Pour 3 now/ })).toBeVisible();
});

test('a brew outlives a server that does not answer, is weighed and read meanwhile, and is stored once', async ({
  page,
}) => {
  const recipe = await startRecipe(page, 'Lost server');
  await page.goto(benchPath(recipe));
  await expect(page.getByText('Before the clock')).toBeVisible();
  for (let mark = 0; mark < 5; mark++) await page.keyboard.press('Space');
  const store = page.getByRole('button', { name: 'Save the brew' });
  await expect(store).toBeVisible();

  await page.route('**/api/brews/**', (route) => route.abort());
  await store.click();
  await expect(page.getByRole('alert')).toContainText('The server does not answer');
  // The cup is weighed before anybody drinks of it.
  const beverage = page.getByRole('textbox', { name: 'Beverage' });
  const reading = page.getByRole('textbox', { name: /^Reading/ });
  await beverage.fill('900');
  await beverage.press('Enter');
  await expect(page.getByText(/900 g is not lighter than/)).toBeVisible();
  await beverage.fill('212');
  await beverage.press('Enter');
  const sample = page.getByRole('textbox', { name: 'Sample at' });
  await sample.fill('60');
  await sample.press('Enter');
  await expect(page.getByText(/too warm: wait until it is near/)).toBeVisible();
  await sample.fill('23');
  await sample.press('Enter');
  await expect(page.getByText('near the room: good to read')).toBeVisible();
  for (const figure of ['13.6', '1.36', '1.44', '1.35']) {
    await reading.fill(figure);
    await reading.press('Enter');
  }
  await expect(page.getByText(/check the decimal point/)).toHaveCount(0);
  await page.getByRole('button', { name: 'Remove the reading 1.44 %' }).click();
  await reading.fill('1.3');
  await page.reload();
  await expect(store).toBeVisible();
  await expect(beverage).toHaveValue('212');
  await expect(reading).toHaveValue('1.3');
  await expect(sample).toHaveValue('23');
  await expect(page.getByRole('button', { name: /^Remove the reading/ })).toHaveCount(2);

  // The answer is lost but the brew arrived: sending it again must not store it twice.
  await page.unroute('**/api/brews/**');
  await page.route('**/api/brews/**', async (route) => {
    await route.fetch();
    await route.abort();
  });
  await store.click();
  await expect(page.getByRole('alert')).toContainText('The server does not answer');
  await page.unroute('**/api/brews/**');
  await store.click();
  await expect(page.getByRole('heading', { name: 'Brew 1' })).toBeVisible();
  // What is measured is not asked for again: the next thing is to taste.
  await expect(page.getByRole('link', { name: 'Taste this cup' })).toBeVisible();
  await page.keyboard.press('m');
  await expect(beverage).toHaveValue('212');
  // Typed and not added yet: it goes along.
  await expect(reading).toHaveValue('1.3');
  await expect(sample).toHaveValue('23');
  await expect(page.getByRole('button', { name: /^Remove the reading/ })).toHaveCount(2);
  await page.goto(`/lots/${recipe.lot.id}`);
  await expect(page.getByRole('link', { name: /^Brew \d/ })).toHaveCount(1);
});

test('the bench holds two brews: a third waits; clearing can be undone', async ({ page }) => {
  const recipes: RecipeView[] = [];
  for (const name of ['First on the bench', 'Second beside it', 'Third in line']) {
    recipes.push(await startRecipe(page, name));
  }
  const [first, second, third] = recipes as [RecipeView, RecipeView, RecipeView];
  await page.goto(benchPath(first));
  await expect(page.getByText('Before the clock')).toBeVisible();
  for (let mark = 0; mark < 5; mark++) await page.keyboard.press('Space');
  await page.goto(benchPath(second));
  await expect(page.getByRole('timer')).toHaveCount(2);
  await page.keyboard.press('Space');
  await page.goto(benchPath(third));
  await expect(page.getByRole('heading', { name: 'Two brews are on the bench' })).toBeVisible();
  await page.getByRole('link', { name: 'Open the bench' }).click();
  await page.getByRole('button', { name: 'Abandon this brew' }).click();
  await page.getByRole('button', { name: 'Undo', exact: true }).last().click();
  await expect(page.getByRole('button', { name: 'Save the brew' })).toBeVisible();
  await expect(page.getByRole('timer')).toHaveCount(2);
});
