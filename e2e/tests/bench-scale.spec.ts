import { expect, test } from '@playwright/test';
import type { BrewView } from '@vendu/contract';
import { pageOf, signIn } from '../support/people';
import { brewUntil, installStandIns, layOut, store, stored, takeClockInHand } from '../support/standIns';
import { benchPath, startRecipe } from '../support/work';

test.beforeEach(async ({ page }) => {
  await installStandIns(page);
  await signIn(page, 'barista');
});

test('a good brew: the real curve over the plan, totals off the scale, the trace in the record', async ({
  page,
}) => {
  const recipe = await startRecipe(page, 'Good brew');
  await layOut(page, recipe, 'simulated scale, steady hand');
  await page.keyboard.press('Space');
  await brewUntil(page, /Drained/);
  await page.keyboard.press('Space');
  const { brew, trace } = await stored(page);
  const water = recipe.versions[0]?.plan.pours.reduce((sum, { amountG }) => sum + amountG, 0) ?? 0;
  expect(Math.abs(brew.waterG - water)).toBeLessThan(3);
  expect(brew.waterBasis).toBe('as-weighed');
  expect(brew.kit?.scale).toBe('Simulated scale, steady hand');
  // Ten readings a second from the first mark to the last.
  const lastS = brew.steps.at(-1)?.atS ?? 0;
  expect(trace?.atMs.length).toBeGreaterThan(lastS * 9);
  expect(Math.abs((trace?.massG.at(-1) ?? 0) - water)).toBeLessThan(3);
  await expect(page.getByRole('list', { name: 'After the brews' })).toContainText('sample cools');
});

test('recorded step times are within 50 ms of the true ones', async ({ page }) => {
  const recipe = await startRecipe(page, 'True times');
  await page.goto(benchPath(recipe));
  await expect(page.getByText('Before the clock')).toBeVisible();
  await takeClockInHand(page);
  const trueMs: number[] = [];
  for (const passMs of [0, 7_340, 33_210, 21_990, 61_030]) {
    await page.clock.runFor(passMs);
    trueMs.push((trueMs.at(-1) ?? 0) + passMs);
    await page.keyboard.press('Space');
  }
  const { brew } = await stored(page);
  for (const [index, step] of brew.steps.entries()) {
    expect(Math.abs(step.atS * 1000 - (trueMs[index] ?? 0))).toBeLessThan(50);
  }
  expect(brew.steps).toHaveLength(trueMs.length);
});

test('a scale over the network is heard at the address the bench shows, and goes into the record', async ({
  page,
}) => {
  const recipe = await startRecipe(page, 'Scale of one’s own');
  await page.goto(benchPath(recipe));
  await page.getByLabel('Which scale').selectOption({ label: 'scale over the network' });
  const address = (await page.getByText(/\/api\/instrument-feeds\//).textContent()) ?? '';
  const send = (data: string) =>
    page.request.post(address.replace(/^.* /, ''), { data, headers: { 'content-type': 'text/plain' } });
  // Nobody hears it until the bench listens.
  await expect.poll(async () => (await send('0.0\n')).status()).toBe(200);
  await page.getByRole('heading', { name: recipe.lot.name }).click();
  await page.keyboard.press('Space');
  for (const line of ['12.4', '{"g": 24.9, "batteryPercent": 9}', '35,0 g']) await send(`${line}\n`);
  await expect(page.getByText('35.0 g')).toBeVisible();
  await expect(page.getByText('scale battery 9 %')).toBeVisible();
  expect((await send('12.4\nnothing\n')).status()).toBe(422);
  await brewUntil(page, /Drained/);
  await page.keyboard.press('Space');
  const { brew, trace } = await stored(page);
  expect(brew.kit?.scale).toBe('Scale over the network');
  expect(brew.isSimulated).toBe(false);
  expect(trace?.massG).toEqual([12.4, 24.9, 35]);
});

test('an overshoot is told, and the next total corrected by one key', async ({ page }) => {
  const recipe = await startRecipe(page, 'Overshoot');
  await layOut(page, recipe, 'simulated scale, hurried hand');
  await page.keyboard.press('Space');
  await page.clock.runFor(9_000);
  const offer = page.getByRole('group', { name: 'A pour missed its total' });
  await expect(offer).toContainText(/\d(\.\d)? g over/);
  const corrected =
    (await offer.getByRole('button', { name: /correct to/ }).textContent())?.match(/[\d.]+ g/)?.[0] ?? '?';
  await page.keyboard.press('c');
  await expect(offer).toBeHidden();
  await page.keyboard.press('Space');
  await expect(page.getByText(`to ${corrected}`)).toBeVisible();
  await brewUntil(page, /Drained/);
  await page.keyboard.press('Space');
  const { brew } = await stored(page);
  expect(brew.events.map(({ kind }) => kind)).toContain('totals-moved');
});

test('a scale that dies leaves a gap; the brew goes on by marks and typed totals', async ({ page }) => {
  const recipe = await startRecipe(page, 'Dead scale');
  await layOut(page, recipe, 'simulated scale, battery dying');
  await page.keyboard.press('Space');
  await brewUntil(page, /Pour 3/);
  await expect(page.getByRole('alert').filter({ hasText: 'is silent' })).toContainText('goes on by marks');
  await page.keyboard.press('Space');
  await page.getByLabel('Pour 3, scale showed').fill('251');
  await page.getByLabel('Pour 3, scale showed').press('Enter');
  await page.clock.runFor(60_000);
  await page.keyboard.press('Space');
  const { brew, trace } = await stored(page);
  expect(brew.waterG).toBe(251);
  expect(brew.events.map(({ kind }) => kind)).toContain('scale-lost');
  expect((trace?.atMs.at(-1) ?? 0) / 1000).toBeLessThan(brew.steps.at(-1)?.atS ?? 0);
});

test('a bed that clogs is told as late, then as a stall, with what to do', async ({ page }) => {
  const recipe = await startRecipe(page, 'Stall');
  await layOut(page, recipe, 'simulated scale, clogging bed');
  await page.keyboard.press('Space');
  await brewUntil(page, /Drained/);
  await expect(page.getByRole('alert')).toBeHidden();
  await page.clock.runFor(30_000);
  await expect(page.getByText(/water stands \d+ mm over the bed/)).toBeVisible();
  await page.keyboard.press('h');
  await expect(page.getByRole('alert').filter({ hasText: 'Late.' })).toContainText('No more swirls');
  // Of a lot that was never brewed a stall is told once it is nearly sure.
  await page.clock.runFor(80_000);
  await page.keyboard.press('h');
  await expect(page.getByRole('alert').filter({ hasText: 'A stall.' })).toContainText('lift the paper');
});

test('a scale under the server tells a clogging bed long before its plan is over', async ({ page }) => {
  const recipe = await startRecipe(page, 'Early stall');
  await layOut(page, recipe, 'simulated scale, clogging bed', 'simulated scale below');
  await page.keyboard.press('Space');
  await brewUntil(page, /Pour 3/);
  await page.keyboard.press('Space');
  const { pours = [], drawdownS = 0 } = recipe.versions[0]?.plan ?? {};
  await page.clock.runFor((0.7 * drawdownS - (pours[2]?.startS ?? 0)) * 1000);
  const warning = page.getByRole('alert').filter({ hasText: /Late\.|A stall\./ });
  await expect(warning).toBeVisible();
});

test('a scale under the server marks first drip and end of the drawdown, and its curve is kept', async ({
  page,
}) => {
  const recipe = await startRecipe(page, 'Weighed below');
  await layOut(page, recipe, 'simulated scale, steady hand', 'simulated scale below');
  await page.keyboard.press('Space');
  await brewUntil(page, /Drained/);
  await expect(page.getByText('in the server')).toBeVisible();
  await expect(page.getByRole('alert')).toBeHidden();
  await page.clock.runFor(120_000);
  await expect(page.getByText('Marked by the scale under the server', { exact: false })).toBeVisible();
  // Taken back by hand it stays open: the eye has the last word.
  await page.keyboard.press('u');
  await expect(store(page)).toBeHidden();
  await page.clock.runFor(5_000);
  await expect(store(page)).toBeHidden();
  await page.keyboard.press('Space');
  const { brew, outflow } = await stored(page);
  expect(brew.events.map(({ kind }) => kind)).toEqual(['first-drip']);
  expect(brew.events[0]?.atS).toBeGreaterThan(3);
  // Beverage: the water poured less what the bed holds, about 2 g per g (common practice).
  const poured = brew.waterG;
  const lastG = outflow?.massG.at(-1) ?? 0;
  expect(poured - lastG).toBeGreaterThan(1.2 * brew.doseG);
  expect(poured - lastG).toBeLessThan(2.8 * brew.doseG);
  await page.keyboard.press('r');
  await expect(page.getByText('Green: what ran into the server', { exact: false })).toBeVisible();
});

test('water that runs through is seen early, moves the forecast and is told', async ({ page }) => {
  const recipe = await startRecipe(page, 'Rush');
  await layOut(page, recipe, 'simulated scale, fast-draining bed');
  await page.keyboard.press('Space');
  await brewUntil(page, /Pour 3/);
  await page.keyboard.press('Space');
  // The pour is in after twenty seconds; who watches then presses as soon as the bed shows.
  await page.clock.runFor(22_000);
  for (let second = 0; second < 60; second++) {
    await page.clock.runFor(1000);
    if (await page.getByText(/the bed shows/).isVisible()) break;
  }
  const drainsS = async () => {
    const [, minutes, seconds] =
      (await page.getByText(/drains about \d/).textContent())?.match(/about (\d+):(\d\d)/) ?? [];
    return Number(minutes) * 60 + Number(seconds);
  };
  const beforeS = await drainsS();
  await page.keyboard.press('b');
  await expect.poll(drainsS).toBeLessThan(beforeS - 10);
  // The bed is six times as open as the plan's forecast has it: sure enough to be said of a lot never brewed.
  await expect(page.getByRole('alert')).toContainText('Early.');
});

test('water that stands past its time moves the forecast of the drain', async ({ page }) => {
  const recipe = await startRecipe(page, 'Standing water');
  await layOut(page, recipe, 'simulated scale, steady hand');
  await page.keyboard.press('Space');
  await brewUntil(page, /Drained/);
  const drains = page.getByText(/drains about \d/);
  const secondsOf = async () => {
    const [, minutes, seconds] = (await drains.textContent())?.match(/about (\d+):(\d\d)/) ?? [];
    return Number(minutes) * 60 + Number(seconds);
  };
  const plannedS = await secondsOf();
  await page.clock.runFor(30_000);
  // What the clock has overtaken is no forecast any more; what is seen moves it further.
  const beforeS = await secondsOf();
  expect(beforeS).toBeGreaterThan(plannedS);
  await page.keyboard.press('h');
  await expect(page.getByText(/water on the bed at/)).toBeVisible();
  await expect.poll(secondsOf).toBeGreaterThan(beforeS);
  // Taken back, the forecast is the lot's again.
  await page.keyboard.press('u');
  await expect.poll(secondsOf).toBe(beforeS);
  await page.keyboard.press('h');
  await page.clock.runFor(20_000);
  await page.keyboard.press('b');
  await page.keyboard.press('Space');
  const { brew } = await stored(page);
  expect(brew.events.map(({ kind }) => kind)).toEqual(['water-stands', 'bed-shows']);
});

test('all three stand-ins: kettle at each pour, three readings, the result beside its forecast', async ({
  page,
}) => {
  const recipe = await startRecipe(page, 'Stand-ins');
  await layOut(page, recipe, 'simulated scale, usual hand');
  await page.getByLabel('Which kettle thermometer').selectOption({ label: 'simulated thermometer' });
  await page.getByRole('heading', { name: 'Stand-ins' }).click();
  await page.clock.runFor(2_000);
  await expect(page.getByText('°C kettle')).toBeVisible();
  await page.keyboard.press('Space');
  await brewUntil(page, /Drained/);
  await page.keyboard.press('Space');
  const { brew } = await stored(page);
  const reads = brew.events.filter((event) => event.kind === 'kettle-read');
  expect(reads).toHaveLength(brew.plan.pours.length);
  for (const { kettleC } of reads) expect(Math.abs(kettleC - brew.plan.kettleC)).toBeLessThan(4);
  await expect(page.getByText(/Simulated brew, not evidence/)).toBeVisible();

  await page.getByLabel('Read by').selectOption({ label: 'simulated refractometer' });
  await page.getByRole('button', { name: 'Clean water on the prism' }).click();
  await expect(page.getByText(/Zero was off by/)).toBeVisible();
  for (const count of [1, 2, 3]) {
    await page.getByRole('button', { name: 'Sample on the prism' }).click();
    await expect(page.getByLabel(`Reading ${count + 1}, % TDS`)).toBeVisible();
  }
  const strength = page.getByRole('row', { name: /Strength/ });
  await expect(strength).toContainText('within its band');
  await expect(page.getByRole('figure', { name: /Extraction map: brew 1/ })).toContainText('forecast');
});

test('a reload in the middle loses no mark and no minute of the curve', async ({ page }) => {
  const recipe = await startRecipe(page, 'Reloaded');
  await layOut(page, recipe, 'simulated scale, steady hand');
  await page.keyboard.press('Space');
  await brewUntil(page, /Pour 3/);
  await expect(page.getByText(/on this device and on the server/)).toBeVisible();
  await page.reload();
  await expect(page.getByRole('timer')).toHaveText(/1:\d\d/);
  await expect(page.getByRole('row', { name: /Pour 2/ })).toContainText('0:');
  await page.clock.runFor(1000);
  await page.keyboard.press('Space');
  await page.clock.runFor(60_000);
  await page.keyboard.press('Space');
  const { brew, trace } = await stored(page);
  expect(brew.steps).toHaveLength(5);
  expect(trace?.atMs[0]).toBeLessThan(1000);
  expect((trace?.atMs.at(-1) ?? 0) / 1000).toBeGreaterThan((brew.steps.at(-1)?.atS ?? 0) - 5);
});

test('another device goes on with a brew whose own has died, with its curve', async ({ page, browser }) => {
  const recipe = await startRecipe(page, 'Taken over');
  await layOut(page, recipe, 'simulated scale, steady hand');
  await page.keyboard.press('Space');
  await brewUntil(page, /Pour 2/);
  await page.keyboard.press('Space');
  await expect(page.getByText(/on this device and on the server/)).toBeVisible();
  const clock = await page.evaluate(() => Date.now());
  await page.close();

  const { page: other } = await pageOf(browser, 'secondBarista');
  await other.clock.install({ time: clock + 5_000 });
  await other.goto('/lots');
  const line = other.getByRole('paragraph').filter({ hasText: 'On another bench: Taken over' });
  await line.getByRole('button', { name: 'Continue here' }).click();
  await expect(line).toBeHidden();
  await other.goto(benchPath(recipe));
  await expect(other.getByRole('timer')).toBeVisible();
  await other.clock.runFor(1_000);
  await brewUntil(other, /Drained/);
  await other.keyboard.press('Space');
  const { brew, trace } = await stored(other);
  expect(brew.steps.filter(({ skipped }) => !skipped).length).toBeGreaterThan(3);
  // From the first second on, although this device saw the end of it only.
  expect(trace?.atMs[0]).toBeLessThan(1_000);
  expect((trace?.atMs.at(-1) ?? 0) / 1000).toBeGreaterThan((brew.steps.at(-1)?.atS ?? 0) - 2);
});

test('two brews at once keep clocks of their own, and the keys go to the one chosen', async ({ page }) => {
  const left = await startRecipe(page, 'Left hand');
  const right = await startRecipe(page, 'Right hand');
  await layOut(page, left, 'simulated scale, steady hand');
  await page.keyboard.press('Space');
  await page.clock.runFor(12_000);
  // A page is not loaded while the clock stands.
  await page.clock.resume();
  await page.goto(benchPath(right));
  await expect(page.getByRole('timer')).toHaveCount(2);
  await takeClockInHand(page);
  await page.keyboard.press('Space');
  const secondsOf = async () =>
    (await page.getByRole('timer').allTextContents()).map((clock) => {
      const [minutes, seconds] = clock.split(':').map(Number);
      return (minutes ?? NaN) * 60 + (seconds ?? NaN);
    });
  const [leftS = NaN] = await secondsOf();
  expect(leftS).toBeGreaterThanOrEqual(12);
  await page.clock.runFor(3_000);
  expect(await secondsOf()).toEqual([leftS + 3, 3]);
  await page.keyboard.press('1');
  await page.keyboard.press('Space');
  await expect(page.getByRole('region', { name: /Left hand/ })).toContainText('now: swirl');
  await expect(page.getByRole('region', { name: /Right hand/ })).toContainText('now: bloom');
  // The other hand, whichever it is.
  await page.keyboard.press('o');
  await page.keyboard.press('Space');
  await expect(page.getByRole('region', { name: /Right hand/ })).toContainText('now: swirl');
});

test('a split brew: cups called every fifteen seconds, changed by a key and written down after', async ({
  page,
}) => {
  const recipe = await startRecipe(page, 'Split');
  await layOut(page, recipe, 'simulated scale, steady hand');
  await page.getByLabel('Fractions').selectOption({ label: 'a cup every 10 s' });
  // Any seconds will do.
  await page.getByRole('textbox', { name: 'Cups changed' }).fill('every 15 s');
  await page.keyboard.press('Enter');
  await page.getByRole('heading', { name: 'Split' }).click();
  await page.keyboard.press('Space');
  const call = page.getByRole('alert').filter({ hasText: 'Change the cup' });
  for (let cup = 0; cup < 3; cup++) {
    await page.clock.runFor(14_500);
    await expect(call).toBeVisible();
    await page.keyboard.press('f');
    await expect(call).toBeHidden();
  }
  await page.keyboard.press('u');
  await page.keyboard.press('f');
  await brewUntil(page, /Drained/);
  await page.keyboard.press('Space');
  const { brew } = await stored(page);
  expect(brew.events.filter(({ kind }) => kind === 'cup-changed')).toHaveLength(3);
  await page.keyboard.press('c');
  await page.getByLabel('Cup 2, mass').fill('48');
  await page.getByLabel('Cup 2, mass').press('Enter');
  await page.getByLabel('Cup 2, haze').selectOption('slight');
  await expect
    .poll(async () => {
      const kept = (await (await page.request.get(`/api/brews/${brew.id}`)).json()) as BrewView;
      return kept.fractions.map(({ beverageG, haze }) => [beverageG, haze]);
    })
    .toEqual([
      [null, null],
      [48, 'slight'],
      [null, null],
      [null, null],
    ]);
  // Read one by one, the cups are evidence of the lot: as far as they go from the first on, then all of them.
  for (const [cup, [grams, percent]] of [
    ['30', '4'],
    ['48', '2'],
    ['60', '1'],
  ].entries()) {
    for (const [what, value] of [
      ['mass', grams],
      ['strength', percent],
    ] as const) {
      const field = page.getByLabel(`Cup ${cup + 1}, ${what}`);
      await field.fill(value ?? '');
      await field.press('Enter');
    }
  }
  await expect(page.getByText(/as from a brewer lifted off at/)).toBeVisible();
  for (const [what, value] of [
    ['mass', '42'],
    ['strength', '0.5'],
  ] as const) {
    await page.getByLabel(`Cup 4, ${what}`).fill(value);
    await page.getByLabel(`Cup 4, ${what}`).press('Enter');
  }
  // (30 x 4 + 48 x 2 + 60 x 1 + 42 x 0.5) / 180.
  await expect(page.getByText(/All cups together 1.65 %: the lot’s forecasts learn from them/)).toBeVisible();
  await expect
    .poll(async () => {
      const kept = (await (await page.request.get(`/api/brews/${brew.id}`)).json()) as BrewView;
      return kept.cups.map(({ tdsPercent }) => tdsPercent);
    })
    .toEqual([4, 2, 1, 0.5]);
});
