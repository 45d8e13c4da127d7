import { expect, test } from '@playwright/test';
import { expectClean } from '../support/axe';
import type { RecipeView } from '@vendu/contract';
import { brewAndMeasure } from '../support/inventedCoffee';
import { signIn } from '../support/people';
import { publish, startRecipe } from '../support/work';

test('a drifting grinder is told from the coffee, and the one brew that shows it is at hand', async ({
  page,
}) => {
  await signIn(page, 'lead');
  await page.goto('/lots');
  await page.getByRole('link', { name: 'Watch', exact: true }).click();
  await expect(page.getByText(/^Halyard.*: \d+ lots on it came out weaker/)).toBeVisible();
  await expectClean(page);
  await page.getByRole('link', { name: /^Mutwenzi Hill/ }).click();
  await expect(page.getByRole('heading', { name: 'Mutwenzi Hill went off' })).toBeVisible();
  await expect(
    page.getByText(/^The grinder, Halyard.*: \d+ other lots on it moved the same way/),
  ).toBeVisible();
  await expect(page.getByText(/^Brew it once on another grinder/)).toBeVisible();
  await expect(page.getByRole('img', { name: /^strength: brew 1 / })).toBeVisible();
  for (const order of ['by age of the roast', 'by batch']) {
    await page.getByRole('button', { name: order }).click();
    await expect(page.getByRole('button', { name: order })).toHaveAttribute('aria-pressed', 'true');
    await expect(page.getByRole('img', { name: /^strength: .*brew 6 .*, off/ })).toBeVisible();
  }
  await expectClean(page);

  await page.getByRole('button', { name: 'What this recipe is held to' }).click();
  await page.getByLabel('Brewed again after').fill('400');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText(/Brewed again after must be a whole number from 1 to 365 days/)).toBeVisible();
  await page.getByLabel('Brewed again after').fill('21');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText(/^Brewed again every 21 days/)).toBeVisible();

  // The one brew that tells is on the bench with the other grinder, at that grinder's own setting.
  await page.getByRole('link', { name: /^Brew it on / }).click();
  await expect(page.getByText('Before the clock')).toBeVisible();
  const grinder = page.getByLabel('Which grinder').locator('option:checked');
  await expect(grinder).not.toContainText('Halyard');
  await expect(grinder).toContainText(/ at [\d.]+$/);
});

test('the watch holds on a phone, and a lot asks for its recheck', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await signIn(page, 'barista');
  for (const address of ['/watch', '/recipes/6/watch']) {
    await page.goto(address);
    await expect(page.getByText('Mutwenzi Hill').first()).toBeVisible();
    const overflow = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
    expect([address, overflow <= 0]).toEqual([address, true]);
  }
  await page.goto('/recipes/6/watch');
  await expect(page.getByText(/A lead sets it\.$/)).toBeVisible();
});

test('what an older bag needs is said on the card once it is published again', async ({ page }) => {
  await signIn(page, 'lead');
  const recipe = await startRecipe(page, `Ages ${crypto.randomUUID().slice(0, 8)}`);
  const card = await publish(page, recipe.id);
  await page.goto(`/recipes/${recipe.id}/watch`);
  await expect(page.getByText(/how it ages is not known/)).toBeVisible();
  await page.getByRole('button', { name: 'What the card says of an older bag' }).click();
  await page.getByLabel('From day').fill('20');
  await page.getByLabel('What to do then').fill('grind 30 finer');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText(/without a figure/)).toBeVisible();
  await page.getByLabel('What to do then').fill('grind a little finer');
  await page.getByRole('button', { name: 'Save' }).click();
  const note = 'From day 20 after the roast: grind a little finer.';
  await expect(page.getByText(note)).toBeVisible();
  await expectClean(page);

  await page.goto(card);
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await expect(page.getByText(note)).toHaveCount(0);
  await page.goto(`/recipes/${recipe.id}/watch`);
  await page.getByRole('link', { name: 'Publish it again' }).click();
  await expect(page.getByText(/An older bag: nothing/)).toBeVisible();
  await page.getByRole('button', { name: 'Publish the card again' }).click();
  await expect(page.getByText(/An older bag: nothing/)).toHaveCount(0);
  await page.goto(card);
  await expect(page.getByText(note)).toBeVisible();

  await page.goto(`/recipes/${recipe.id}/watch`);
  await page.getByRole('button', { name: 'Say nothing of it' }).click();
  await expect(page.getByText(note)).toHaveCount(0);
});

test('from an alarm to a new version that is public', async ({ page }) => {
  const truth = { solubility: 1, rate: 1, flow: 1, retained: 1, steepness: 1 };
  await signIn(page, 'lead');
  const started = await startRecipe(page, `Drifts ${crypto.randomUUID().slice(0, 8)}`);
  const { id, lot } = started;
  for (const hoursAgo of [5, 4, 3]) {
    await brewAndMeasure(page, started, truth, { startedAt: Date.now() - hoursAgo * 3_600_000 });
  }
  await publish(page, id);
  await page.goto(`/recipes/${id}/watch`);
  await expect(page.getByRole('heading', { name: /is not brewed again yet$/ })).toBeVisible();
  await brewAndMeasure(page, started, truth, { coarserByUm: 260 });
  await page.goto('/watch');
  await page.getByRole('link', { name: new RegExp(`^${lot.name}`) }).click();
  await expect(page.getByRole('heading', { name: `${lot.name} went off` })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'What likely drifted' })).toBeVisible();

  await page.getByRole('link', { name: 'the next change' }).click();
  const next = page.locator('#next-change');
  await next.getByRole('button', { name: 'Try this change' }).first().click();
  await page.getByRole('button', { name: /^Save as version/ }).click();
  await expect(page.getByText(/^To do: /)).toBeVisible();
  await publish(page, id);
  await page.goto(`/recipes/${id}/watch`);
  await expect(page.getByRole('link', { name: /version 2$/ })).toBeVisible();
  await expect(page.getByRole('heading', { name: /is not brewed again yet$/ })).toBeVisible();
});

test('a new batch of what is public is brewed once before it goes on sale', async ({ page }) => {
  const truth = { solubility: 1, rate: 1, flow: 1, retained: 1, steepness: 1 };
  await signIn(page, 'lead');
  const started = await startRecipe(page, `Batch ${crypto.randomUUID().slice(0, 8)}`);
  for (const hoursAgo of [5, 4, 3]) {
    await brewAndMeasure(page, started, truth, { startedAt: Date.now() - hoursAgo * 3_600_000 });
  }
  await publish(page, started.id);
  const roastedOn = new Date(Date.now() - 2 * 86_400_000).toISOString().slice(0, 10);
  await page.request.post(`/api/lots/${started.lot.id}/roast-batches`, { data: { roastedOn } });
  await page.goto(`/recipes/${started.id}/watch`);
  await expect(page.getByText(/brew it once before it goes on sale/)).toBeVisible();
  // What it is to be expected to do follows from what new batches did here.
  await expect(page.getByText(/^.*(expect it within ±|is not known).*$/).first()).toBeVisible();
  const again = (await (await page.request.get(`/api/recipes/${started.id}`)).json()) as RecipeView;
  await brewAndMeasure(page, again, truth);
  await page.reload();
  await expect(page.getByRole('heading', { name: /holds$/ })).toBeVisible();
  await expect(page.getByText(/brew it once before it goes on sale/)).toHaveCount(0);
});
