import { expect, test, type Page } from '@playwright/test';
import type { ComparisonView, RecipeView } from '@vendu/contract';
import { expectClean } from '../support/axe';
import { signIn } from '../support/people';
import { chooseKit, startRecipe, storeBrew } from '../support/work';

/** A second version of a recipe, changed in one or more things. */
async function newVersion(page: Page, recipe: RecipeView, changes: object): Promise<RecipeView> {
  const data = {
    basedOn: recipe.versions[0]?.number,
    plan: { ...recipe.versions[0]?.plan, ...changes },
    note: '',
  };
  const answer = await page.request.post(`/api/recipes/${recipe.id}/versions`, { data });
  return (await answer.json()) as RecipeView;
}

const lotName = (words: string) => `${words} ${crypto.randomUUID().slice(0, 8)}`;

/** Marks every step of what lies on the bench and saves it. */
async function brewThrough(page: Page): Promise<void> {
  await expect(page.getByText('Before the clock')).toBeVisible();
  for (;;) {
    await page.keyboard.press('Space');
    const save = page.getByRole('button', { name: 'Save the brew' });
    await expect(save.or(page.getByRole('button', { name: / now/ })).first()).toBeVisible();
    if (await save.isVisible()) return save.press('Enter');
  }
}

test('a lot of many is found by a part of its name, by keys alone', async ({ page }) => {
  await signIn(page, 'barista');
  const [first, far] = [lotName('Compared here'), lotName('Far down the list')];
  const here = await startRecipe(page, first);
  await startRecipe(page, far);
  await page.goto(`/compare/new?lot=${here.lot.id}`);
  const other = page.getByRole('combobox', { name: 'Lot of B' });
  await expect(other).toHaveValue(first);
  await other.focus();
  await page.keyboard.type('no such lot');
  await expect(page.getByText('No lot fits.')).toBeVisible();
  await other.fill(far.slice(4).toUpperCase());
  await expect(page.getByRole('option', { name: far })).toBeVisible();
  await expectClean(page);
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect(other).toHaveValue(far);
  // What is typed and left is no choice.
  await other.fill('something else');
  await page.keyboard.press('Tab');
  await expect(other).toHaveValue(far);
});

test('a wrong design is caught before anything is brewed, and its arms are brewed in turned order', async ({
  page,
}) => {
  await signIn(page, 'barista');
  const name = lotName('Compared');
  const first = await startRecipe(page, name);
  const plan = first.versions[0]!.plan;
  await newVersion(page, first, { grindUm: plan.grindUm - 80, kettleC: plan.kettleC + 3 });

  await page.goto(`/lots/${first.lot.id}`);
  await page.getByRole('link', { name: 'Compare versions' }).click();
  const about = page.getByRole('group', { name: 'It is about' });
  await expect(about.getByRole('button', { pressed: true })).toHaveCount(1);
  // Whichever of the two it is about, the other one confounds it.
  if ((await about.getByRole('button', { pressed: true }).textContent()) !== 'Grind') {
    await about.getByRole('button', { name: 'Temperature' }).click();
    await about.getByRole('button', { name: 'Grind' }).click();
  }
  await expect(page.getByText(/^Not alike in the temperature either: A/)).toBeVisible();
  await expect(page.getByText('Give all arms the same temperature, or ask about it too.')).toBeVisible();
  await expectClean(page);
  await page.getByLabel('Question').fill('');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('Question is required.')).toBeVisible();

  // The version with the kettle left alone answers it.
  const recipe = (await (await page.request.get(`/api/recipes/${first.id}`)).json()) as RecipeView;
  await newVersion(page, recipe, { grindUm: plan.grindUm - 80, kettleC: plan.kettleC });
  await page.reload();
  await chooseKit(page, 'Version of A', 'Version 1');
  await chooseKit(page, 'Version of B', 'Version 3');
  await expect(page.getByText('Sound: nothing differs but what is asked about.')).toBeVisible();
  await page.getByLabel('Question').fill('Finer or not?');
  await page.getByRole('radio', { name: '1', exact: true }).click();
  await expect(page.getByText(/^One brew of each arm/)).toBeVisible();
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('heading', { name: 'Finer or not?' })).toBeVisible();
  const address = page.url();

  const order = page.getByRole('list', { name: 'Brewing order' });
  for (const letter of ['A', 'B']) {
    await expect(order.locator('[aria-current=step]')).toContainText(letter);
    await page.getByRole('link', { name: `Brew ${letter}`, exact: true }).click();
    await expect(page.getByText(`Arm ${letter} of a comparison`)).toBeVisible();
    await brewThrough(page);
    await expect(page.getByRole('heading', { name: /^Brew \d/ })).toBeVisible();
    await page.getByRole('link', { name: 'Finer or not?' }).click();
  }
  await expect(page).toHaveURL(address);
  await expect(page.getByText('All brewed.')).toBeVisible();
  await expectClean(page);
  // What was asked once may be asked better.
  await page.getByText('Change the question').click();
  await page.getByLabel('Question').fill('Sweeter finer?');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('heading', { name: 'Sweeter finer?' })).toBeVisible();
});

test('a question that no version asks yet is made from A by a button', async ({ page }) => {
  await signIn(page, 'barista');
  const recipe = await startRecipe(page, lotName('Bloom or none'));
  await page.goto(`/compare/new?lot=${recipe.lot.id}`);
  await expect(page.getByText('Choose a version for each arm', { exact: false })).toBeVisible();
  await page
    .getByRole('group', { name: 'B as A, but' })
    .getByRole('button', { name: 'without bloom' })
    .click();
  await expect(page.getByLabel('Version of A')).toContainText('Version 1');
  await expect(page.getByLabel('Version of B')).toContainText('Version 2');
  const about = page.getByRole('group', { name: 'It is about' });
  // Bloom, pours and what was done to the bloom: all of it is the question.
  for (const axis of ['Agitation', 'Bloom', 'Pours']) {
    const toggle = about.getByRole('button', { name: axis });
    if ((await toggle.getAttribute('aria-pressed')) === 'false') await toggle.click();
  }
  await expect(page.getByText('Sound: nothing differs but what is asked about.')).toBeVisible();
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('link', { name: 'Brew A', exact: true })).toBeVisible();
});

test('two brewers are given one plan and grinds that match, and a brew that is there can count', async ({
  page,
}) => {
  await signIn(page, 'barista');
  const cone = await startRecipe(page, lotName('Two brewers'));
  const brew = await storeBrew(page, cone);
  const flat = (await (
    await page.request.post(`/api/lots/${cone.lot.id}/recipes`, { data: { brewerId: 2, grinderId: 1 } })
  ).json()) as RecipeView;
  const data = {
    question: 'Which brewer?',
    asks: ['brewer'],
    versionIds: [cone.versions[0]?.id, flat.versions[0]?.id],
    matchedBy: 'drain',
    rounds: 1,
  };
  const { id } = (await (await page.request.post('/api/comparisons', { data })).json()) as ComparisonView;
  await page.goto(`/compare/${id}`);
  await expect(page.getByText(/^Not alike in/).first()).toBeVisible();
  await page.getByRole('button', { name: 'Brew B by the plan of A' }).click();
  await expect(page.getByText(/^Not alike in/)).toHaveCount(0);
  await page.getByRole('button', { name: /^Compare B at \d+ µm$/ }).click();
  await expect(page.getByText(/^By the model B drains like A, .* as it is ground/)).toBeVisible();
  await expect(page.getByRole('link', { name: 'Slipway flat, version 3' })).toBeVisible();

  await page.getByRole('button', { name: `count brew ${brew.number} too` }).click();
  await expect(page.getByRole('link', { name: `brew ${brew.number}`, exact: true })).toBeVisible();
  await expect(
    page.getByRole('list', { name: 'Brewing order' }).locator('[aria-current=step]'),
  ).toContainText('B');
  await page.getByRole('button', { name: `Brew ${brew.number} does not count for A` }).click();
  await expect(page.getByRole('button', { name: `count brew ${brew.number} too` })).toBeVisible();
});

test('a blind triangle at six phones: two load again, one leaves, and nobody sees before it is opened', async ({
  page,
  browser,
}) => {
  await signIn(page, 'lead');
  const first = await startRecipe(page, lotName('Tasted blind'));
  const recipe = await newVersion(page, first, { grindUm: first.versions[0]!.plan.grindUm - 80 });
  const data = {
    question: 'Finer or not?',
    asks: ['grind'],
    versionIds: recipe.versions.map(({ id }) => id).reverse(),
    matchedBy: 'dial',
    rounds: 2,
  };
  const { id } = (await (await page.request.post('/api/comparisons', { data })).json()) as ComparisonView;
  await page.goto(`/compare/${id}`);
  const stages = page.getByRole('group', { name: 'Tasted' });
  await stages.getByRole('button', { name: 'Cool' }).click();
  await page.getByLabel('Tasters').fill('6');
  await page.getByLabel('Tasters').press('Tab');
  await expect(page.getByText(/is found by 6 tasters/)).toBeVisible();
  await page.getByRole('button', { name: 'Lay out coded cups' }).click();
  await expect(page.getByText(/^Sealed: nobody sees/)).toBeVisible();
  await expect(page.getByRole('img', { name: 'Page of taster 6' })).toBeVisible();
  await page.getByText('Pouring sheet, for whoever does not taste').click();
  await page.getByRole('button', { name: 'I pour: show it' }).click();
  await expect(page.getByText(/Ilse Varnholt poured and cannot taste/)).toBeVisible();
  await expectClean(page);

  const shown = (await (await page.request.get(`/api/comparisons/${id}`)).json()) as ComparisonView;
  const { places } = shown.tests[0]!;
  const rows = page.getByRole('row');
  for (const [index, { path, codes }] of places.entries()) {
    // Whoever poured knows which is odd: the taster of this test does too, and tells it each time but once.
    const letters = (
      await rows
        .filter({ hasText: `Taster ${index + 1} ` })
        .last()
        .getByRole('cell')
        .allTextContents()
    ).map((cell) => cell.slice(-1));
    const odd = letters.findIndex((letter) => letters.filter((each) => each === letter).length === 1);
    const context = await browser.newContext({ viewport: { width: 390, height: 780 } });
    const phone = await context.newPage();
    // A phone comes over plain http, where browsers have none of this.
    await phone.addInitScript(() => Reflect.deleteProperty(Crypto.prototype, 'randomUUID'));
    await phone.goto(path);
    await expect(
      phone.getByRole('heading', { name: 'Two are alike. Which one is different?' }),
    ).toBeVisible();
    if (index === 0) await expectClean(phone);
    if (index === 5) {
      await context.close();
      continue;
    }
    await phone.getByText(codes[index === 4 ? (odd + 1) % 3 : odd]!, { exact: true }).click();
    if (index < 2) {
      await phone.getByLabel('What you taste, if you like').fill('sharper');
      await phone.reload();
      await expect(phone.getByLabel('What you taste, if you like')).toHaveValue('sharper');
    }
    await phone.getByRole('button', { name: 'Send' }).click();
    await expect(phone.getByRole('heading', { name: `Thank you, taster ${index + 1}` })).toBeVisible();
    // Another phone finds the place taken.
    if (index === 0) {
      const other = await (await browser.newContext()).newPage();
      await other.goto(path);
      await expect(other.getByText(/taken by another phone/)).toBeVisible();
    }
    await context.close();
  }
  await page.goto('/today');
  await expect(page.getByRole('listitem').filter({ hasText: 'at the table' }).first()).toBeVisible();
  await page.goto(`/compare/${id}`);
  await expect(page.getByText(/6 of 6 places taken; hot 5/)).toBeVisible();
  await page.getByRole('button', { name: 'Is it enough yet?' }).click();
  await expect(page.getByText(/^At 5 answers it was not enough/)).toBeVisible();
  await page.getByRole('button', { name: 'Open' }).click();
  await expect(page.getByText(/when hot: 4 of 5 were right/)).toBeVisible();
  await expect(page.getByText(/^Only tasted hot/)).toBeVisible();
  await page.getByText('Key and notes').click();
  await expect(page.getByText('sharper').first()).toBeVisible();
  await expectClean(page);
});

test('four brewers of one lot meet by pairs, and stand in an order with what is not known of it', async ({
  page,
}) => {
  await signIn(page, 'lead');
  const first = await startRecipe(page, lotName('Tournament'));
  const recipes = [first];
  for (const brewerId of [2, 3, 4]) {
    const start = { data: { brewerId, grinderId: 1 } };
    const answer = await page.request.post(`/api/lots/${first.lot.id}/recipes`, start);
    recipes.push((await answer.json()) as RecipeView);
  }
  const data = {
    question: 'Which brewer?',
    asks: ['brewer'],
    versionIds: recipes.map(({ versions }) => versions[0]?.id),
    matchedBy: 'dial',
    rounds: 1,
  };
  const { id } = (await (await page.request.post('/api/comparisons', { data })).json()) as ComparisonView;
  for (const arms of [
    [0, 1],
    [0, 2],
    [0, 3],
    [1, 2],
    [1, 3],
    [2, 3],
  ]) {
    const test = {
      method: 'paired',
      arms,
      stages: ['cool'],
      tasters: 4,
      asksFor: '',
      alphaPercent: 5,
      hours: 1,
    };
    const served = (await (
      await page.request.post(`/api/comparisons/${id}/blind-tests`, { data: test })
    ).json()) as ComparisonView;
    const { id: testId, places } = served.tests.at(-1)!;
    const { sets } = (await (await page.request.post(`/api/blind-tests/${testId}/pouring`)).json()) as {
      sets: { cups: { code: string; arm: number }[] }[];
    };
    for (const [index, { path }] of places.entries()) {
      // The later one of the two, but for one taster of four.
      const liked = sets[index]!.cups.find(({ arm }) => arm === arms[index === 3 ? 0 : 1])!;
      await page.request.put(`/api${path}/answers/cool`, {
        data: { device: crypto.randomUUID().replaceAll('-', ''), chosen: liked.code, note: '' },
      });
    }
    await page.request.put(`/api/blind-tests/${testId}/opened`);
  }
  await page.goto(`/compare/${id}`);
  const standings = page.getByRole('table', { name: /^Cool: chance to be preferred/ });
  await expect(standings.getByRole('row')).toHaveCount(4);
  await expect(standings.getByRole('row').first()).toContainText('D Slipway flat, open bottom');
  await expect(standings.getByRole('row').last()).toContainText('A Kittiwake cone');
  await expectClean(page);
});
