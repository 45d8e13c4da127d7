import { expect, test } from '@playwright/test';
import type { LotView } from '@vendu/contract';
import { signIn } from '../support/people';
import { publish, startRecipe } from '../support/work';

test('two grinds and a sieve go from the board over the bench into record, stock and card', async ({
  page,
}) => {
  await signIn(page, 'lead');
  const recipe = await startRecipe(page, 'Coarse and fine');
  await page.goto(`/recipes/${recipe.id}`);
  const forecast = page.getByRole('region', { name: 'Forecast' });
  await expect(forecast.getByText('Rough ranges')).toBeVisible();
  await page.getByLabel('Dose', { exact: true }).fill('20');
  await page.keyboard.press('Enter');
  const whole = await forecast.innerText();
  await page.getByText('Second grind and sieve').click();
  const second = page.getByLabel('Second grind', { exact: true });
  const grindUm = Number(await page.getByLabel('Grind', { exact: true }).inputValue());
  await second.fill(String(grindUm + 10));
  await page.keyboard.press('Enter');
  await expect(page.getByText(/A grinder tells .* hardly apart/)).toBeVisible();
  await second.fill('1000');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/hardly apart/)).toBeHidden();
  await page.getByLabel('Its share').fill('40');
  await page.keyboard.press('Enter');
  await expect(page.getByText(new RegExp(`^12 g at ${grindUm} µm .* and 8 g at 1000 µm`))).toBeVisible();
  await page.getByLabel('Sieve', { exact: true }).fill('300');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/about [\d.]+ g of fines go/)).toBeVisible();
  await expect.poll(() => forecast.innerText()).not.toBe(whole);
  await page.getByRole('button', { name: 'Save as version 2' }).click();
  await expect(
    page.getByText(`${grindUm} µm → ${grindUm} µm and 40 % at 1000 µm, sieved at 300 µm`),
  ).toBeVisible();
  await expect(page.getByRole('heading', { name: /Its second grind on every grinder/ })).toBeVisible();

  await page.getByRole('link', { name: 'Brew version 2' }).click();
  await expect(page.getByRole('button', { name: /Grind the second at/ })).toBeVisible();
  await expect(page.getByRole('button', { name: /Sieve at 300 µm, weigh 20 g of what stays/ })).toBeVisible();
  // The demo's cone is of ceramic, its paper smooth and rinsed with 100 g by itself.
  await expect(page.getByRole('button', { name: /Fold the paper along its seam/ })).toBeVisible();
  await expect(page.getByRole('button', { name: /Rinse the paper with 150 g/ })).toBeVisible();
  await page.getByLabel('Fines weighed').fill('2.6');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Space');
  const next = page.getByRole('button', { name: / now/ }).first();
  await expect(next).toBeVisible();
  for (const step of ['Swirl', 'Pour 2', 'Pour 3', 'Drained']) {
    await expect(page.getByRole('button', { name: new RegExp(`^${step} now`) })).toBeVisible();
    await page.keyboard.press('Space');
  }
  await expect(page.getByText(/^Then: discard paper and grounds,.* brush the sieve,/)).toBeVisible();
  await page.getByRole('button', { name: 'Save the brew' }).click();
  await expect(page.getByRole('heading', { name: /^Brew \d/ })).toBeVisible();
  await page.getByRole('tab', { name: /^Record/ }).click();
  await expect(page.getByText('fines sieved out 2.6 g')).toBeVisible();
  const lot = (await (await page.request.get(`/api/lots/${recipe.lot.id}`)).json()) as LotView;
  expect(lot.gramsLeftG).toBe(1000 - 20 - 2.6);

  await page.goto(await publish(page, recipe.id));
  await expect(
    page.getByText(/^Grind [\d.]+ g at \d+ µm and [\d.]+ g at 1000 µm, and mix them\.$/),
  ).toBeVisible();
  await expect(page.getByText(/^Shake the mix over a sieve of 300 µm/)).toBeVisible();
});
