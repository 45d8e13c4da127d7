import { expect, test } from '@playwright/test';
import type { LotView, RecipeView } from '@vendu/contract';
import { pageOf, signIn } from '../support/people';
import { publish, signOff, startRecipe } from '../support/work';
import { expectClean } from '../support/axe';

const CARD = '/r/umuseke-ridge-kittiwake-cone';

test('the card prints on one sheet, without the parts that are for the screen', async ({ page }) => {
  await page.goto(CARD);
  await expect(page.getByRole('heading', { name: 'Umuseke Ridge' })).toBeVisible();
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('button', { name: /Print/ })).toBeHidden();
  await expect(page.getByRole('timer')).toBeHidden();
  await expect(page.getByText('to 280 g on the scale')).toBeVisible();
  const pdf = await page.pdf({ format: 'A4', preferCSSPageSize: true });
  const pages = pdf.toString('latin1').match(/\/Type\s*\/Page\b/g) ?? [];
  expect(pages).toHaveLength(1);
});

test('the card holds on a small phone and with large text', async ({ page }) => {
  for (const width of [320, 390, 768]) {
    await page.setViewportSize({ width, height: 700 });
    await page.goto(CARD);
    await expect(page.getByRole('heading', { name: 'Umuseke Ridge' })).toBeVisible();
    // As a browser's own setting does; a style that is put into the page its policy refuses.
    await page.evaluate(() => (document.documentElement.style.fontSize = '20px'));
    const overflow = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
    expect([width, overflow <= 0]).toEqual([width, true]);
  }
});

test('a visitor finds the card from the list and learns nothing of the lab', async ({ page }) => {
  const asked: string[] = [];
  page.on('request', (request) => {
    if (request.url().includes('/api/')) asked.push(new URL(request.url()).pathname);
  });
  await page.goto('/r');
  await page.getByRole('link', { name: /Umuseke Ridge/ }).click();
  await expect(page.getByText('97°C')).toBeVisible();
  await expect(page.getByText('207 °F; above 900 m straight off the boil')).toBeVisible();
  await expect(page.getByRole('heading', { name: 'As proven' })).toBeVisible();
  expect([...new Set(asked)].sort()).toEqual(['/api/published', '/api/session']);
});

test('the card is all there without a script, and little of it is sent', async ({ browser }) => {
  const context = await browser.newContext({
    javaScriptEnabled: false,
    viewport: { width: 390, height: 844 },
  });
  const page = await context.newPage();
  await page.goto(CARD);
  await expect(page.getByText('to 280 g on the scale')).toBeVisible();
  await expect(page.getByText('In our trials of this coffee it was gone then.')).toBeVisible();
  await expect(page.getByRole('button')).toHaveCount(0);
  await context.close();
});

test('the card weighs little, and opens without a network after the first visit', async ({ browser }) => {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
  const page = await context.newPage();
  const session = await context.newCDPSession(page);
  await session.send('Network.enable');
  const kindOf = new Map<string, string>();
  const bytes: Record<string, number> = {};
  session.on('Network.responseReceived', ({ requestId, type }) => kindOf.set(requestId, type));
  session.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
    const kind = kindOf.get(requestId) ?? 'other';
    bytes[kind] = (bytes[kind] ?? 0) + encodedDataLength;
  });
  await page.goto(CARD);
  await expect(page.getByRole('button', { name: 'Start with the first pour' })).toBeVisible();
  // Asked anew each time: what waits for a function takes the promise of an answer for a yes.
  await expect
    .poll(() =>
      page.evaluate(async () => {
        const kept = await (await caches.open('cards')).match(location.pathname);
        return kept !== undefined && navigator.serviceWorker.controller?.state === 'activated';
      }),
    )
    .toBe(true);
  const all = Object.values(bytes).reduce((sum, each) => sum + each, 0);
  console.log(
    `card: ${Math.round(all / 1000)} kB, of them script ${Math.round((bytes['Script'] ?? 0) / 1000)} kB`,
  );
  expect(bytes['Script']).toBeLessThan(40_000);
  expect(all).toBeLessThan(150_000);
  await context.setOffline(true);
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Umuseke Ridge' })).toBeVisible();
  await page.getByRole('button', { name: 'Start with the first pour' }).click();
  await expect(page.getByRole('timer')).not.toHaveText('0:00');
  await expect(page.locator('[aria-current=step]')).toContainText('Bloom');
  await context.close();
});

test('a kitchen whose brew came out otherwise is told what to change, and tells the roastery', async ({
  page,
  browser,
}) => {
  await page.goto(CARD);
  await page.getByLabel('It drained at').fill('3:40');
  await page.getByLabel('and tastes').selectOption('bitter, dry');
  await page.getByLabel('ground on').selectOption({ index: 1 });
  await page.getByLabel('at setting').fill('3.5');
  await page.getByRole('button', { name: 'What next?' }).click();
  await expect(page.getByText(/^Set your grinder to .* µm coarser\.$/)).toBeVisible();
  await expectClean(page);
  await page.getByRole('button', { name: 'Tell the roastery' }).click();
  await expect(page.getByText('Told. Thank you.')).toBeVisible();
  const { page: lead, context } = await pageOf(browser, 'lead');
  await lead.goto('/recipes/1');
  await expect(lead.getByText(/^\d+ told: .*bitter, dry/)).toBeVisible();
  await context.close();
});

test('what a barista changes in the lot reaches no public card until a lead publishes it again', async ({
  browser,
}) => {
  const { page: lead, context: first } = await pageOf(browser, 'lead');
  const { page: barista, context: second } = await pageOf(browser, 'barista');
  const recipe = await startRecipe(barista, 'Peanut lot');
  const card = await publish(lead, recipe.id);

  const lot = (await (await barista.request.get(`/api/lots/${recipe.lot.id}`)).json()) as LotView;
  await barista.goto(`/lots/${lot.id}/edit`);
  await barista.getByLabel('Added fruit or yeast').fill('peanuts');
  await barista.getByRole('button', { name: 'Save the facts' }).click();
  await expect(barista.getByRole('alert')).toContainText('Added fruit or yeast: nothing → peanuts');
  await barista.goto(card);
  await expect(barista.getByRole('heading', { name: 'Peanut lot' })).toBeVisible();
  await expect(barista.getByText(/Check it against your allergies/)).toHaveCount(0);

  await lead.goto(`/lots/${lot.id}`);
  await lead.getByRole('link', { name: /Card for the/ }).click();
  await lead.getByRole('button', { name: 'Publish the card again' }).click();
  await expect(lead.getByText('The public card no longer matches')).toHaveCount(0);
  await lead.goto(card);
  await expect(lead.getByText('Co-fermented with peanuts. Check it against your allergies.')).toBeVisible();
  await first.close();
  await second.close();
});

test('the guide of a card waits where the recipe does, and goes on when that is seen', async ({ page }) => {
  await signIn(page, 'lead');
  const recipe = await startRecipe(page, 'Card that waits');
  const [started] = recipe.versions;
  if (!started) throw new Error('a recipe begins with a version');
  const plan = {
    ...started.plan,
    pours: started.plan.pours.map((pour, index) => (index === 1 ? { ...pour, startsWhen: 'through' } : pour)),
  };
  await page.request.post(`/api/recipes/${recipe.id}/versions`, { data: { basedOn: 1, plan, note: '' } });
  const card = await publish(page, recipe.id);
  await page.clock.install();
  await page.goto(card);
  await page.getByRole('button', { name: 'Start with the first pour' }).click();
  await page.clock.runFor(120_000);
  const current = page.locator('[aria-current=step]');
  await expect(current).not.toContainText('When all of it is through');
  await expect(page.getByText(/^waits: When all of it is through/)).toBeVisible();
  await page.getByRole('button', { name: 'It is: pour now' }).click();
  await page.clock.runFor(1_000);
  await expect(current).toContainText('When all of it is through, pour');
  // The clock was kept, and what comes next comes as long after as the card says.
  await expect(page.getByRole('timer')).toHaveText(/^2:0\d$/);
  await expect(page.getByText(/^in \d+ s: Pour/)).toBeVisible();
});

test('a lot has an edition for each brewer, and a version that was followed says so', async ({ page }) => {
  await signIn(page, 'lead');
  const recipe = await startRecipe(page, 'Two editions');
  const card = await publish(page, recipe.id);
  const other = (await (
    await page.request.post(`/api/lots/${recipe.lot.id}/recipes`, { data: { brewerId: 2, grinderId: 1 } })
  ).json()) as RecipeView;
  await publish(page, other.id);
  await page.goto(card);
  await page.getByRole('link', { name: other.brewerName }).click();
  await expect(page.getByText(`For the ${other.brewerName}. Also for ${recipe.brewerName}`)).toBeVisible();

  const [first] = recipe.versions;
  const plan = { ...first?.plan, kettleC: 90 };
  await page.request.post(`/api/recipes/${recipe.id}/versions`, { data: { basedOn: 1, plan, note: '' } });
  await publish(page, recipe.id);
  await page.goto(card);
  await page.getByText('What changed').click();
  await page.getByRole('link', { name: 'Version 1', exact: true }).click();
  await page.getByRole('link', { name: 'the recipe that holds now' }).click();
  await expect(page.getByText(/^Version 2, published/)).toBeVisible();
});

test('an edition has words of its own and the names of two baristas, beside the lot’s other one', async ({
  page,
  browser,
}) => {
  await signIn(page, 'lead');
  const recipe = await startRecipe(page, 'Said in words');
  await publish(page, recipe.id);
  const other = (await (
    await page.request.post(`/api/lots/${recipe.lot.id}/recipes`, { data: { brewerId: 2, grinderId: 1 } })
  ).json()) as RecipeView;
  const versionId = other.versions[0]?.id ?? 0;
  await page.request.put(`/api/recipe-versions/${versionId}/acceptance`);

  // The second pair of hands brews from the card alone.
  await page.goto(`/recipes/${other.id}/proof/${versionId}`);
  const copy = page.waitForEvent('popup');
  await page.getByRole('link', { name: 'Its card as a proof copy' }).click();
  await expect((await copy).getByText(/^A proof copy, not published/)).toBeVisible();
  await expectClean(await copy);

  await signOff(page, versionId);
  const { page: barista, context } = await pageOf(browser, 'barista');
  await barista.goto(`/recipes/${other.id}`);
  await barista.getByRole('button', { name: 'Put my name on the card' }).click();
  await expect(barista.getByText('On its card Tamsin Ekelund')).toBeVisible();
  await page.goto(`/recipes/${other.id}`);
  await page.getByRole('button', { name: 'Put my name on the card' }).click();
  await expect(page.getByText('On its card Tamsin Ekelund and Ilse Varnholt')).toBeVisible();

  await page.getByLabel('Tastes of, so brewed, if not as on the label').fill('3 plums');
  await page.getByLabel('Name of the edition, beside its brewer').fill('the round one');
  await page.getByText('Remarks beside the steps').click();
  await page.getByLabel(/^0:00 Bloom/).fill('Low, along the wall.');
  await page.getByRole('button', { name: 'Publish version 1' }).click();
  await expect(page.getByText(/without a figure: figures come from the version/)).toBeVisible();
  await expect(page.getByLabel(/^0:00 Bloom/)).toHaveValue('Low, along the wall.');
  await page.getByLabel('Tastes of, so brewed, if not as on the label').fill('baked plum');
  await page.getByRole('button', { name: 'Publish version 1' }).click();
  await expect(page.getByText(/^Public at/)).toBeVisible();
  await context.close();

  await page.goto('/r/lot/said-in-words');
  await expect(page.getByRole('link')).toHaveCount(3);
  await expect(page.getByText('Signed by Tamsin Ekelund, Ilse Varnholt')).toBeVisible();
  await expectClean(page);
  await page.getByRole('link', { name: /the round one/ }).click();
  await expect(page.getByText('Low, along the wall.')).toBeVisible();
  await expect(page.getByText(/so brewed it tastes of baked plum/)).toBeVisible();
  await page.getByLabel('Your kettle shows').selectOption('°F');
  await page.getByLabel('Your kitchen lies at, m').fill('2600');
  await page.keyboard.press('Tab');
  await expect(page.getByText(/^Water boils at .* straight off the boil/)).toBeVisible();
  await expectClean(page);
});

test('on a slow phone the card is there to read soon; how soon is printed', async ({ browser }) => {
  const context = await browser.newContext({
    viewport: { width: 390, height: 844 },
    serviceWorkers: 'block',
  });
  const page = await context.newPage();
  const session = await context.newCDPSession(page);
  // A phone of the cheaper kind on a slow mobile network.
  await session.send('Emulation.setCPUThrottlingRate', { rate: 4 });
  await session.send('Network.emulateNetworkConditions', {
    offline: false,
    latency: 150,
    downloadThroughput: 200_000,
    uploadThroughput: 90_000,
  });
  await page.goto(CARD);
  await expect(page.getByRole('button', { name: 'Start with the first pour' })).toBeVisible();
  const [text] = await page.evaluate(() =>
    performance.getEntriesByName('first-contentful-paint').map(({ startTime }) => startTime),
  );
  console.log(`card on a slow phone: text after ${Math.round(text ?? 0)} ms`);
  expect(text).toBeGreaterThan(0);
  await context.close();
});
