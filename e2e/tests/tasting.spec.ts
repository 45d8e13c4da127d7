import { expect, test, type Page } from '@playwright/test';
import { expectClean } from '../support/axe';
import { pageOf, signIn } from '../support/people';
import { startRecipe, storeBrew } from '../support/work';

/** Seven attributes, how much and how well liked, and the cup as a whole. */
const SCORES = '67' + '58' + '45' + '26' + '37' + '77' + '68' + '7';

async function fill(page: Page, scores: string, note: string): Promise<void> {
  await expect(page.getByRole('spinbutton', { name: 'Acidity, how much' })).toBeFocused();
  await page.keyboard.type(scores);
  await expect(page.getByRole('combobox', { name: 'What it tastes of' })).toBeFocused();
  await page.keyboard.type(note);
  await page.keyboard.press('Enter');
  await page.keyboard.press('Control+Enter');
}

test('three taste one cup, each blind to the others, and then see how far they agree', async ({
  page,
  browser,
}) => {
  await signIn(page, 'barista');
  const recipe = await startRecipe(page, 'A cup for three');
  const brew = await storeBrew(page, recipe);
  const lead = await pageOf(browser, 'lead');
  const third = await pageOf(browser, 'secondBarista');
  for (const taster of [page, lead.page, third.page]) await taster.goto(`/brews/${brew.id}/taste`);

  await fill(page, SCORES, 'jasmine');
  await expect(page.getByRole('link', { name: /^Hot/ })).toContainText('sent');
  // The others are told that something waits, and not what.
  await expect(lead.page.getByText('1 hot, closed until you send yours')).toBeVisible();
  await expect(lead.page.getByText('jasmine')).toHaveCount(0);
  const answered = await (await lead.page.request.get(`/api/brews/${brew.id}`)).text();
  expect(answered).not.toContain('jasmine');

  const beside = await lead.context.newPage();
  await beside.goto(`/lots/${recipe.lot.id}`);
  await expect(beside.getByText('A sheet of brew 1 is closed to you')).toBeVisible();
  await beside.close();

  await fill(lead.page, `47${SCORES.slice(2)}`, 'rose');
  await expect(lead.page.getByRole('region', { name: 'Hot sheets' })).toContainText('jasmine');
  await expect(third.page.getByText('2 hot, closed until you send yours')).toBeVisible();
  await fill(third.page, `27${SCORES.slice(2)}`, 'lime');
  for (const taster of [page, lead.page, third.page]) {
    await expect(taster.getByRole('region', { name: 'Agreement' })).toContainText(
      /3 tasters: within two points on 6 of 7; apart on acidity 2 to 6/,
    );
  }
  await expect(page.getByRole('img', { name: /acidity 4 hot/ })).toBeVisible();
  await expectClean(page);

  // Whoever will not taste it warm sees it anyway, and what he sends then is marked.
  await page.getByRole('link', { name: /^Warm/ }).click();
  await fill(page, SCORES, 'honey');
  await expect(third.page.getByText('1 warm, closed until you send yours')).toBeVisible();
  await third.page.getByRole('button', { name: 'I will not taste it: show them' }).click();
  await expect(third.page.getByRole('region', { name: 'Warm sheets' })).toContainText('honey');
  await third.page.getByRole('link', { name: /^Warm/ }).click();
  await fill(third.page, SCORES, 'honey');
  await expect(third.page.getByRole('region', { name: 'Warm sheets' })).toContainText(
    'sent after seeing others',
  );
  await lead.context.close();
  await third.context.close();
});

test('on a phone a sheet is filled by thumb; it waits on the device while the server is gone', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await signIn(page, 'barista');
  const recipe = await startRecipe(page, 'A cup by thumb');
  const brew = await storeBrew(page, recipe);
  await page.goto(`/brews/${brew.id}/taste/cool`);
  const pad = page.getByRole('group', { name: 'Digits' });
  for (const digit of ['6', '8', '5']) await pad.getByRole('button', { name: digit, exact: true }).click();
  await expect(pad).toContainText('Sweetness, liked');
  await pad.getByRole('button', { name: 'back' }).click();
  await pad.getByRole('button', { name: '4', exact: true }).click();
  await expect(page.getByRole('spinbutton', { name: 'Sweetness, how much' })).toHaveText('4');

  const note = page.getByRole('combobox', { name: 'What it tastes of' });
  await note.fill('black');
  await page.getByRole('option', { name: /blackcurrant/ }).click();
  await page.getByRole('button', { name: 'muddled' }).click();
  await page.getByRole('radio', { name: 'wine glass' }).click();
  await page.getByLabel('Aroma of the emptied cup').fill('toffee');
  await page.route('**/api/brews/*/tastings/*', (route) => route.abort());
  await page.getByRole('button', { name: 'Send this sheet' }).click();
  await expect(page.getByText('Not saved yet, kept on this device.')).toBeVisible();
  await page.unroute('**/api/brews/*/tastings/*');
  await page.reload();
  await expect(page.getByLabel('Aroma of the emptied cup')).toHaveValue('toffee');
  await page.getByRole('button', { name: 'Send this sheet' }).click();
  const sheets = page.getByRole('region', { name: 'Cool sheets' });
  await expect(sheets).toContainText('blackcurrant');
  await expect(sheets).toContainText('muddled');
  await expect(sheets).toContainText('nose: toffee');
  await expect(page.getByRole('region', { name: 'Caffeine' })).toContainText(/about \d+ mg/);
  await expectClean(page);
});

test('a guest taster sees the cups on the table and nothing else, and his sheet reaches the lab', async ({
  page,
  browser,
}) => {
  await signIn(page, 'barista');
  const recipe = await startRecipe(page, 'A cup for a guest', { additions: 'passion fruit' });
  const brew = await storeBrew(page, recipe);

  const guest = await pageOf(browser, 'guest');
  await guest.page.setViewportSize({ width: 390, height: 844 });
  // Wherever he asks for, he stands at the table.
  await guest.page.goto(`/recipes/${recipe.id}`);
  await expect(guest.page.getByRole('heading', { name: 'Cups to taste' })).toBeVisible();
  await expect(guest.page.getByRole('navigation', { name: 'Parts' }).getByRole('link')).toHaveText([
    'Cups to taste',
  ]);
  const cup = guest.page.getByRole('listitem').filter({ hasText: 'A cup for a guest' });
  await expect(cup.getByRole('alert')).toContainText('co-fermented with passion fruit');
  await expectClean(guest.page);
  await cup.getByRole('link').click();
  await guest.page.getByRole('link', { name: /^Warm/ }).click();
  await fill(guest.page, SCORES, 'honey');
  await expect(guest.page.getByRole('region', { name: 'Warm sheets' })).toContainText('honey');
  await guest.page.getByRole('link', { name: 'Cups to taste' }).first().click();
  await expect(cup).toContainText('sent');
  await guest.context.close();

  await page.goto(`/brews/${brew.id}#taste`);
  await page.getByRole('button', { name: 'I will not taste it: show them' }).click();
  await expect(page.getByRole('region', { name: 'Warm sheets' })).toContainText('Maren Oldacre');
});

test('a cup that may harm somebody says so before it is tasted', async ({ page }) => {
  await signIn(page, 'barista');
  const recipe = await startRecipe(page, 'A co-ferment to taste', { additions: 'passion fruit' });
  const brew = await storeBrew(page, recipe);
  await page.goto(`/brews/${brew.id}/taste`);
  await expect(page.getByRole('alert')).toContainText(
    /Before the first sip.*passion fruit.*allergens.*alcohol/,
  );
});
