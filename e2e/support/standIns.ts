import { expect, type Page } from '@playwright/test';
import type { BrewTraces, BrewView, RecipeView } from '@vendu/contract';
import { benchPath } from './work';

// Brews off the simulated scale, at the speed of a clock that the test turns: minutes pass in a second or two.

/** The key of a brew is the seed of its stand-in hand by its first eight digits: the same hand in every run. */
const HAND_SEED = '00000063';
/** The clock is taken in hand this much later than it is asked, ms: on a slow machine asking takes time too. */
const ASKING_MS = 10_000;

/** Before anything else of a test: a clock of its own, and one hand. */
export async function installStandIns(page: Page): Promise<void> {
  await page.clock.install({ time: new Date('2026-11-23T10:00:00Z') });
  await page.addInitScript((seed) => {
    const made = crypto.randomUUID.bind(crypto);
    crypto.randomUUID = () => `${seed}${made().slice(8)}` as ReturnType<typeof made>;
  }, HAND_SEED);
}

/** From here on only the test lets time pass, however slow the machine is. */
export async function takeClockInHand(page: Page): Promise<void> {
  const nowMs = await page.evaluate(() => Date.now());
  await page.clock.pauseAt(nowMs + ASKING_MS);
}

export async function layOut(page: Page, recipe: RecipeView, hand: string, below?: string): Promise<void> {
  await page.goto(benchPath(recipe));
  await expect(page.getByText('Before the clock')).toBeVisible();
  await page.getByLabel('Which scale').selectOption({ label: hand });
  if (below !== undefined) await page.getByLabel('Scale under the server').selectOption({ label: below });
  // A select keeps its keys to itself.
  await page.getByRole('heading', { name: recipe.lot.name }).click();
  await expect(page.getByText(/^-?\d\.\d g$/)).toBeVisible();
  await takeClockInHand(page);
}

/** Marks each step when it is due, up to the step named, which is left for the test to mark. */
export async function brewUntil(page: Page, last: RegExp): Promise<void> {
  for (;;) {
    const next = page.getByRole('button', { name: / now/ });
    const words = (await next.textContent()) ?? '';
    const due = await page.getByText(/^(in|late) (\d+ s|\d+:\d\d)$/).textContent();
    const [seconds = 0, minutes = 0] = (due?.match(/\d+/g) ?? []).map(Number).reverse();
    const leftS = due?.startsWith('in') ? minutes * 60 + seconds : 0;
    await page.clock.runFor(leftS * 1000);
    if (last.test(words)) return;
    await page.keyboard.press('Space');
  }
}

export const store = (page: Page) => page.getByRole('button', { name: 'Save the brew' });

export async function stored(page: Page): Promise<BrewTraces & { brew: BrewView }> {
  await page.clock.resume();
  await store(page).click();
  await expect(page.getByRole('heading', { name: /^Brew \d/ })).toBeVisible();
  const id = Number(new URL(page.url()).pathname.split('/').at(-1));
  const brew = (await (await page.request.get(`/api/brews/${id}`)).json()) as BrewView;
  const traces = (await (await page.request.get(`/api/brews/${id}/trace`)).json()) as BrewTraces;
  return { brew, ...traces };
}
