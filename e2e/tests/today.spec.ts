import { expect, test, type Page } from '@playwright/test';
import { followWindows, planDay } from '@vendu/core';
import type { TodayBrew, TodayView } from '@vendu/contract';
import { expectClean } from '../support/axe';
import { signIn } from '../support/people';
import { startRecipe, storeBrew } from '../support/work';

const order = (page: Page) =>
  page
    .getByRole('button', { name: /^Move / })
    .evaluateAll((handles) =>
      handles.map((handle) => handle.getAttribute('aria-label')?.replace('Move ', '') ?? ''),
    );

/** Everybody in at any time, so that the day is the same at whatever hour this runs. */
async function withoutHours(page: Page) {
  const { people } = (await (await page.request.get('/api/today')).json()) as TodayView;
  for (const { id } of people) expect((await page.request.delete(`/api/people/${id}/hours`)).ok()).toBe(true);
  await page.reload();
}

test('a day is planned, disturbed and replanned', async ({ page }) => {
  await page.goto('/sign-in');
  await page.getByRole('button', { name: /^Ilse Varnholt/ }).click();
  await expect(page.getByRole('heading', { name: /^Today/ })).toBeVisible();
  await withoutHours(page);
  await expect(page.getByRole('heading', { name: /^Today/ })).toBeVisible();
  const told = page.getByText(/^\d+ brews, all tasted by \d\d:\d\d with \d pairs? of hands$/);
  await expect(told).toBeVisible();
  // Other tests of this lab may have invited somebody.
  const hands = Number(/with (\d) pairs/.exec((await told.textContent()) ?? '')?.[1]);
  await expect(page.getByText(/^\d\d:\d\d .*: brew, Bomaku Natural$/)).toBeAttached();
  await expectClean(page);
  const planned = await order(page);
  expect(planned.length).toBeGreaterThan(3);

  await test.step('one goes home: the plan takes longer', async () => {
    await page.getByRole('checkbox', { name: 'Joss Pellwater' }).uncheck();
    await expect(told).toContainText(new RegExp(`with ${hands - 1} pairs of hands$`));
    await page.getByRole('checkbox', { name: 'Tamsin Ekelund' }).uncheck();
    await expect(told).toContainText(new RegExp(`with ${hands - 2} pairs? of hands$`));
  });

  await test.step('a brew is moved by keys, and the plan keeps to it', async () => {
    const before = await order(page);
    // Other tests of this lab may have two lots of one name.
    const isAlone = (name: string) => before.filter((each) => each === name).length === 1;
    const at = before.findLastIndex((name, place) => place > 0 && isAlone(name));
    const last = before[at]!;
    const said = (place: number) => page.getByText(`${last} is brew ${place}.`);
    await page.getByRole('button', { name: `Move ${last}` }).focus();
    await page.keyboard.press('Space');
    await expect(said(at + 1)).toBeAttached();
    await page.keyboard.press('ArrowUp');
    await expect(said(at)).toBeAttached();
    await page.keyboard.press('Space');
    await expect.poll(async () => (await order(page))[at - 1]).toBe(last);
    await expect(page.getByRole('button', { name: 'Order it by the plan again' })).toBeVisible();
    const moved = await order(page);
    await page.reload();
    await expect.poll(() => order(page)).toEqual(moved);
    await page.getByRole('button', { name: 'Order it by the plan again' }).click();
  });

  await test.step('one waits for another day, and comes back', async () => {
    await page.getByRole('button', { name: 'Not today: Bomaku Natural' }).click();
    await expect.poll(() => order(page)).not.toContain('Bomaku Natural');
    await page.getByRole('button', { name: 'Put back: Bomaku Natural' }).click();
    await expect.poll(() => order(page)).toContain('Bomaku Natural');
  });

  await test.step('a brew that really ran through asks for its tasting', async () => {
    // Cups of other tests of this lab cool as well: one pair of hands does not get to all of them.
    await page.getByRole('checkbox', { name: 'Joss Pellwater' }).check();
    await page.getByRole('checkbox', { name: 'Tamsin Ekelund' }).check();
    const brew = await storeBrew(page, await startRecipe(page, 'Brewed just now'));
    await page.goto('/today');
    await expect(
      page.getByText(new RegExp(`: read the sample, Brewed just now, brew ${brew.number}$`)).first(),
    ).toBeAttached();
  });

  await test.step('and the next shift is left what happened, and a note', async () => {
    await expect(page.getByText('Brewed just now, brew 1').first()).toBeVisible();
    await page.getByLabel('For the next shift').fill('Left kettle lies by two degrees.');
    await page.reload();
    await expect(page.getByLabel('For the next shift')).toHaveValue('Left kettle lies by two degrees.');
    await page.getByRole('button', { name: 'Save the note' }).click();
    await expect(page.getByText(/^Left kettle lies by two degrees\.Ilse Varnholt/)).toBeVisible();
    await expect(page.getByLabel('For the next shift')).toHaveValue('');
    await expectClean(page);
  });

  await page
    .getByRole('link', { name: /^Brew it|^Begin a recipe/ })
    .first()
    .click();
  await expect(page.getByText(/Before the clock|Starting recipe/).first()).toBeVisible();
});

test('what somebody puts first stays first, also where it does not fit into the day', async ({ page }) => {
  const at = (hour: number) => new Date(new Date().setHours(hour, 0, 0, 0));
  await page.clock.install({ time: at(19) });
  await signIn(page, 'barista');
  await page.goto('/today');
  await withoutHours(page);
  const { people, brews, roomC } = (await (await page.request.get('/api/today')).json()) as TodayView;
  const [alone, ...others] = people;
  /** How long one pair of hands needs for it and what follows it, min. */
  const needMin = (brew: TodayBrew) =>
    planDay({
      jobs: [{ ...brew, dueMin: null }],
      afters: [],
      crew: { kettles: 1, people: [{ name: '', caffeineMg: 0, fromMin: 0, toMin: 24 * 60 }] },
      nowMin: 0,
      windows: followWindows({ roomC }),
    }).endMin;
  // Other tests of this lab may have two lots of one name.
  const isAlone = (name: string) => brews.filter(({ lotName }) => lotName === name).length === 1;
  const moved = brews.findLast(({ lotName }) => isAlone(lotName))!.lotName;
  const needsMin = brews.filter(({ lotName }) => lotName !== moved).map(needMin);
  // Some minutes are gone until the page is there.
  const shiftMin = Math.ceil(Math.min(...needsMin)) + 10;
  // The one that is moved takes longer than the shift.
  await page.route('**/api/today', async (route) => {
    const response = await route.fetch();
    const today = (await response.json()) as TodayView;
    for (const brew of today.brews) if (brew.lotName === moved) brew.brewMin += shiftMin;
    // Cups that other tests left standing take no hands, whatever hour it is.
    today.afters = [];
    await route.fulfill({ response, json: today });
  });
  const until = new Date(at(19).getTime() + shiftMin * 60_000).toTimeString().slice(0, 5);
  const hours = { from: '06:00', until };
  expect((await page.request.put(`/api/people/${alone!.id}/hours`, { data: hours })).ok()).toBe(true);
  for (const { name } of others) await page.getByRole('checkbox', { name }).uncheck();
  await page.reload();
  await expect(page.getByText(/^\d+ brews?, all tasted by/)).toBeVisible();
  const row = page.getByRole('listitem').filter({ hasText: moved });
  await expect(row.getByText('does not fit into the day')).toBeVisible();
  const from = (await order(page)).indexOf(moved) + 1;
  await page.getByRole('button', { name: `Move ${moved}`, exact: true }).focus();
  await page.keyboard.press('Space');
  await expect(page.getByText(`${moved} is brew ${from}.`)).toBeAttached();
  for (let place = from - 1; place > 0; place--) {
    await page.keyboard.press('ArrowUp');
    await expect(page.getByText(`${moved} is brew ${place}.`)).toBeAttached();
  }
  await page.keyboard.press('Space');
  await expect(page.getByRole('button', { name: 'Order it by the plan again' })).toBeVisible();
  await expect.poll(async () => (await order(page))[0]).toBe(moved);
  await page.reload();
  await expect.poll(async () => (await order(page))[0]).toBe(moved);
  await expect(row.getByText('does not fit into the day')).toBeVisible();
  await withoutHours(page);
});

test('two shifts: who is there when, by hours that anybody can set', async ({ page }) => {
  const at = (hour: number) => new Date(new Date().setHours(hour, 0, 0, 0));
  await page.clock.install({ time: at(8) });
  await signIn(page, 'barista');
  await page.goto('/today');
  const joss = page.getByRole('checkbox', { name: 'Joss Pellwater' });
  const hours = page.getByRole('button', { name: /^Hours of Joss Pellwater/ });
  await hours.click();
  const form = page.getByRole('form', { name: 'Hours of Joss Pellwater' });

  await test.step('a shift that ends before it begins is told at its field', async () => {
    await form.getByLabel('In from').fill('14:00');
    await form.getByLabel('In until').fill('12:00');
    await form.getByRole('button', { name: 'Save' }).click();
    await expect(form.getByText('In until must be later than 14:00.')).toBeVisible();
    await expect(form.getByLabel('In from')).toHaveValue('14:00');
    await expectClean(page);
  });

  await form.getByLabel('In until').fill('20:00');
  await form.getByRole('button', { name: 'Save' }).click();
  await expect(hours).toHaveAccessibleName('Hours of Joss Pellwater: 14:00 to 20:00');
  await expect(joss).toBeChecked();
  await expect(page.getByText('in from 14:00')).toBeVisible();
  await expectClean(page);
  await expect(page.getByText(/^08:\d\d Joss Pellwater: brew/)).toHaveCount(0);

  await test.step('in the evening he is gone, unless he stays', async () => {
    await page.clock.setFixedTime(at(21));
    await page.reload();
    await expect(joss).not.toBeChecked();
    await joss.check();
    await expect(page.getByText(/^2\d:\d\d Joss Pellwater: /).first()).toBeAttached();
  });

  await hours.click();
  await form.getByRole('button', { name: 'Any time' }).click();
  await expect(hours).toHaveAccessibleName('Hours of Joss Pellwater: any time');
});

test('launches and rechecks are in somebody’s own calendar, until the address is ended', async ({ page }) => {
  await signIn(page, 'barista');
  await page.goto('/today');
  await page.getByRole('button', { name: 'Make an address' }).click();
  const address = await page.getByLabel('Your address, shown once').inputValue();
  const told = await page.request.get(address);
  expect(await told.text()).toContain('SUMMARY:Recheck: Umuseke Ridge');
  await expectClean(page);
  await page.reload();
  await expect(page.getByRole('button', { name: 'Make a new one' })).toBeVisible();
  await expect(page.getByLabel('Your address, shown once')).toHaveCount(0);
  await page.getByRole('button', { name: 'End it' }).click();
  await expect(page.getByRole('button', { name: 'Make an address' })).toBeVisible();
  expect((await page.request.get(address)).status()).toBe(404);
});

test('the cups on the table are a press away', async ({ page }) => {
  await signIn(page, 'barista');
  await page.goto('/today');
  await page.getByRole('link', { name: 'Cups to taste' }).click();
  await expect(page.getByRole('heading', { name: 'Cups to taste' })).toBeVisible();
});

test('launches that are in danger are said while it can be helped, on a phone too', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await signIn(page, 'barista');
  await page.goto('/today');
  await expect(page.getByRole('heading', { name: 'Launches ahead' })).toBeVisible();
  await expect(page.getByText(/brews? and \d+ days? to go/).first()).toBeVisible();
  const overflow = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
  expect(overflow).toBeLessThanOrEqual(0);
});

test('cups that nobody gets to stand together by lot, above a list of brews that is still in sight', async ({
  page,
}) => {
  await page.clock.install({ time: new Date(new Date().setHours(11, 0, 0, 0)) });
  await signIn(page, 'barista');
  await page.goto('/today');
  await withoutHours(page);
  const { id } = await storeBrew(page, await startRecipe(page, 'Left standing all morning'));
  // As many again of the same lot: their hot cups went cold an hour ago.
  await page.route('**/api/today', async (route) => {
    const response = await route.fetch();
    const today = (await response.json()) as TodayView;
    const drainedAt = new Date(new Date().setHours(10, 0, 0, 0)).toISOString();
    const cup = { lotName: 'Left standing all morning', drainedAt, left: ['taste-hot' as const], sipMg: 0 };
    today.afters = Array.from({ length: 40 }, (_, index) => ({
      ...cup,
      brewId: id + index,
      number: index + 1,
    }));
    await route.fulfill({ response, json: today });
  });
  await page.reload();
  const missed = page.locator('section', { hasText: 'Nobody gets to these cups in their time' });
  await expect(missed.getByRole('listitem')).toHaveText(
    /^Left standing all morningtaste it hot: brew123456and 34 more$/,
  );
  await expect(page.getByRole('button', { name: /^Move / }).first()).toBeInViewport();
  await expectClean(page);
  await missed.getByRole('link', { name: 'Left standing all morning, brew 1', exact: true }).click();
  await expect(page).toHaveURL(`/brews/${id}`);
});
