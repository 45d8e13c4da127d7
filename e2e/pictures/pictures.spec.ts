import { join } from 'node:path';
import { test, type Page } from '@playwright/test';
import type { ComparisonView } from '@vendu/contract';
import { signIn } from '../support/people';

// Refreshes docs/screenshots from a freshly loaded demo: `./vendu demo --reset`, then `npm run pictures`.
const FOLDER = join(import.meta.dirname, '..', '..', 'docs', 'screenshots');
/** Lets charts and fonts settle before the picture is taken, ms. */
const SETTLE_MS = 800;

async function shoot(page: Page, name: string): Promise<void> {
  await page.waitForTimeout(SETTLE_MS);
  await page.screenshot({ path: join(FOLDER, `${name}.png`) });
}

test('public card', async ({ page }) => {
  await page.goto('/r/umuseke-ridge-kittiwake-cone');
  await shoot(page, 'public-card');
});

test('public card on a phone', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto('/r/umuseke-ridge-kittiwake-cone');
  await shoot(page, 'public-card-phone');
});

test('today at half past one, when both shifts are in', async ({ page }) => {
  await signIn(page, 'lead');
  await page.clock.setFixedTime(new Date().setHours(13, 30, 0, 0));
  await page.goto('/today');
  await page.getByText(/all tasted by/).waitFor();
  await shoot(page, 'today');
});

test('the lab’s own pages', async ({ page }) => {
  await signIn(page, 'lead');
  for (const [name, path] of [
    ['lots', '/lots'],
    ['watch', '/recipes/6/watch'],
    ['reports', '/reports/coffee-used'],
    ['starting-recipe', '/lots/5/start'],
    ['kit', '/kit'],
    ['schools', '/schools'],
    ['lot', '/lots/2'],
    ['brew', '/brews/3#measure'],
    ['comparison', '/compare/1'],
    ['proof', '/recipes/4/proof/9'],
  ] as const) {
    await page.goto(path);
    // These are worked out after the page is there.
    if (name === 'starting-recipe')
      await page.getByRole('heading', { name: 'Why each figure is what it is' }).waitFor();
    if (name === 'lot')
      await page
        .getByText(/ of 100/)
        .first()
        .waitFor();
    if (name === 'brew') await page.getByRole('heading', { name: 'Forecast and result' }).waitFor();
    await shoot(page, name);
  }
  await page.goto('/recipes/2');
  await page.getByText('home brewers get this cup').waitFor();
  await shoot(page, 'recipe');
});

test('a cup on a phone', async ({ page }) => {
  await signIn(page, 'lead');
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto('/brews/3/taste/warm');
  await shoot(page, 'at-the-cup-phone');
});

test('practice, by a pointer that gets better at it', async ({ page }) => {
  await page.clock.install();
  await signIn(page, 'barista');
  await page.goto('/practice');
  const field = page.getByText('hold Space, or press here and pull down');
  for (const { pulledPx, heldMs } of [
    { pulledPx: 210, heldMs: 8_500 },
    { pulledPx: 125, heldMs: 12_800 },
    { pulledPx: 150, heldMs: 10_600 },
  ]) {
    const box = await field.boundingBox();
    const [x, y] = [(box?.x ?? 0) + 20, box?.y ?? 0];
    await page.mouse.move(x, y);
    await page.mouse.down();
    await page.mouse.move(x, y + pulledPx);
    await page.clock.runFor(heldMs);
    await page.mouse.up();
    await page.clock.runFor(15_000 - heldMs);
    await page.getByLabel('Score').waitFor();
    if (heldMs !== 10_600) await page.getByRole('button', { name: 'Once more' }).click();
  }
  await shoot(page, 'practice');
});

test('the bench, on a clock moved by hand', async ({ page }) => {
  await page.clock.install();
  await signIn(page, 'barista');
  await page.goto('/bench/3?recipe=1');
  await page.getByText('Before the clock').waitFor();
  await page.getByLabel('Which scale').selectOption({ label: 'simulated scale, hurried hand' });
  await page.getByLabel('Scale under the server').selectOption({ label: 'simulated scale below' });
  await page.getByRole('heading', { level: 1 }).click();
  for (const key of ['p', 'p', 's']) await page.keyboard.press(key);
  await page.getByText('simulated brewer', { exact: true }).waitFor();
  await page.clock.runFor(1500);
  await page.keyboard.press('Space');
  await page.clock.runFor(9000);
  await page.keyboard.press('Space');
  await page.clock.runFor(41_000);
  await page.keyboard.press('c');
  await page.keyboard.press('Space');
  await page.clock.runFor(7_000);
  await shoot(page, 'bench-running');
  await page.keyboard.press('d');
  await page.clock.runFor(8_000);
  await shoot(page, 'bench-dark');
});

test('coded cups on a taster’s phone', async ({ page }) => {
  await signIn(page, 'lead');
  const data = {
    method: 'triangle',
    arms: [0, 1],
    stages: ['hot', 'cool'],
    tasters: 6,
    asksFor: '',
    alphaPercent: 5,
    hours: 3,
  };
  const served = await page.request.post('/api/comparisons/2/blind-tests', { data });
  const { tests } = (await served.json()) as ComparisonView;
  const { path, codes } = tests.at(-1)!.places[0]!;
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(path);
  await page.getByText(codes[1]!, { exact: true }).click();
  await shoot(page, 'coded-cups-phone');
});
