import { expect, test, type Page } from '@playwright/test';
import { seededRandom, type BrewPlan } from '@vendu/core';
import type { BrewView } from '@vendu/contract';
import { AIMS, handOf, measuredByHand, taskOf } from '@vendu/measures/dialIn';
import { signIn } from '../support/people';
import { store, takeIn } from './lab';

// How long somebody waits for what to change next: from the reading that was typed last, with the key that leads there
// pressed at once, until the lot's page puts a change.

/** Lots of so many brews. */
const BREWS = [4, 16, 60];
/** Readings of the last brew: each is waited for. */
const READINGS = ['1.31', '1.33', '1.3', '1.32', '1.34', '1.31', '1.33'];
const SETTLED_MS = 3000;
const MOST_MS = 500;

test('what to change next is there as soon as it is wanted', async ({ page }) => {
  await signIn(page, 'barista');
  const middles: number[] = [];
  for (const count of BREWS) {
    const { recipe, last } = await lotOf(page, count);
    const waitedMs: number[] = [];
    // As somebody comes who dials a lot in: its page has been open before.
    await page.goto(`/lots/${recipe.lot.id}`);
    await page.goto(`/brews/${last.id}`);
    for (const [index, reading] of READINGS.entries()) {
      await page.getByRole('tab', { name: /^Measure/ }).click();
      // Until the page has learned what the brews before say: so long a cup cools and is drawn into the refractometer.
      await expect(page.getByRole('table').first()).toBeVisible();
      await page.waitForTimeout(SETTLED_MS);
      await page.getByLabel(`Reading ${index + 1}, % TDS`).fill(reading);
      const waited = await untilChange(page);
      await page.keyboard.press('Enter');
      // The figure just entered keeps its keys until it is left.
      await page.evaluate(() => (document.activeElement as HTMLElement).blur());
      await page.keyboard.press('n');
      waitedMs.push(await waited.evaluate(({ ms }) => ms));
      await expect(page).toHaveURL(`/lots/${recipe.lot.id}#next-change`);
      await page.goBack();
    }
    const [cold, ...warm] = waitedMs.map(Math.round);
    const middle = warm.sort((a, b) => a - b)[Math.floor(warm.length / 2)];
    console.log(`a lot of ${count} brews: ${cold} ms, then ${middle} (${warm.join(', ')})`);
    middles.push(middle ?? NaN);
  }
  for (const middle of middles) expect(middle).toBeLessThan(MOST_MS);
});

/** By the page's own clock: from the next Enter until the lot's page puts what to do next, ms. */
function untilChange(page: Page) {
  return page.evaluateHandle(() => {
    const result = { ms: new Promise<number>(() => {}) };
    result.ms = new Promise((resolve) => {
      let enteredMs: number | null = null;
      window.addEventListener(
        'keydown',
        () => {
          enteredMs = performance.now();
        },
        { capture: true, once: true },
      );
      const look = () => {
        const put = document.querySelector('#next-change')?.textContent ?? '';
        const isThere = /Try this change|Accept it|Brew it again|No change is likelier/.test(put);
        if (enteredMs !== null && isThere) resolve(performance.now() - enteredMs);
        else requestAnimationFrame(look);
      };
      look();
    });
    return result;
  });
}

/** A lot with brews of one version, as a hand makes them; of the last nothing is read. */
async function lotOf(page: Page, count: number) {
  const task = taskOf('varied', count, AIMS.house);
  const recipe = await takeIn(page, `Waits for it, ${count} brews`, task);
  const plan = recipe.versions[0]?.plan as BrewPlan;
  const random = handOf(seededRandom(count)());
  let last: BrewView | null = null;
  for (let made = 1; made <= count; made++) {
    const by = measuredByHand(task.lot, plan, random);
    last = await store(page, recipe, plan, made === count ? { ...by, readingsPercent: [] } : by);
  }
  if (last === null) throw new Error('a lot without a brew');
  return { recipe, last };
}
