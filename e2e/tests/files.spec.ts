import { readFile } from 'node:fs/promises';
import { expect, test } from '@playwright/test';
import type { RecipeView } from '@vendu/contract';
import { expectClean } from '../support/axe';
import { pageOf, signIn } from '../support/people';
import { startRecipe, storeBrew } from '../support/work';

test('a recipe leaves as a file and begins one for another lot, as it was', async ({ page }) => {
  await signIn(page, 'barista');
  const sender = await startRecipe(page, 'Sent to a neighbour');
  const plan = {
    ...sender.versions[0]!.plan,
    needlesDry: true,
    bypassG: 15,
    beverageMixed: 'stir',
    decants: true,
    endWithinS: 12,
  };
  await page.request.post(`/api/recipes/${sender.id}/versions`, {
    data: { basedOn: 1, plan, note: 'rounder' },
  });
  await page.goto(`/recipes/${sender.id}`);
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'save as file' }).first().click(),
  ]);
  expect(download.suggestedFilename()).toBe('sent-to-a-neighbour-kittiwake-cone-version-2.json');
  const text = await readFile(await download.path(), 'utf8');

  const receiver = await startRecipe(page, 'Got from a neighbour');
  await page.goto(`/lots/${receiver.lot.id}/start`);
  await page.getByRole('button', { name: 'Begin with a recipe file' }).click();
  const picked = (name: string, contents: string) =>
    page
      .getByLabel('Recipe file', { exact: true })
      .setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(contents) });
  await picked('list.json', '{"bread": 2}');
  await expect(page.getByText('This is not a recipe file.')).toBeVisible();
  await picked('hole.json', text.replace('"kettleC"', '"kettle"'));
  await expect(page.getByText(/incomplete: plan\.kettleC/)).toBeVisible();
  await picked('recipe.json', text.replace('Kittiwake cone', 'Their cone'));
  await expect(page.getByText(/This house has no Their cone/)).toBeVisible();
  await expectClean(page);
  await picked('recipe.json', text);
  await expect(page.getByText(/This house has no/)).toBeHidden();
  await page.getByRole('button', { name: 'Keep the recipe of the file' }).click();
  await expect(
    page.getByText('From a file: Sent to a neighbour, Kittiwake cone, version 2: rounder'),
  ).toBeVisible();
  const id = Number(/\d+$/.exec(page.url())?.[0]);
  const kept = (await (await page.request.get(`/api/recipes/${id}`)).json()) as RecipeView;
  expect(kept.versions[0]?.plan).toEqual(plan);
});

test('the brews of a lot leave as a table', async ({ page }) => {
  await signIn(page, 'barista');
  const recipe = await startRecipe(page, 'Brews in a table');
  const brew = await storeBrew(page, recipe);
  const weighing = { revision: brew.revision, doseG: 16, waterG: 250, beverageG: 221, note: '=1+1' };
  await page.request.patch(`/api/brews/${brew.id}`, { data: weighing });
  await page.request.post(`/api/brews/${brew.id}/readings`, { data: { tdsPercent: 1.4 } });
  await page.goto(`/lots/${recipe.lot.id}`);
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Save as CSV' }).click(),
  ]);
  expect(download.suggestedFilename()).toBe('brews-in-a-table-brews.csv');
  const [head = '', line = ''] = (await readFile(await download.path(), 'utf8')).split('\r\n');
  const cells = line.split(',');
  const at = (column: string) => cells[head.split(',').indexOf(column)];
  expect(at('brew')).toBe('1');
  expect(at('beverage_g')).toBe('221');
  expect(at('strength_percent')).toBe('1.4');
  // 1.4 % of 221 g from 16 g.
  expect(Number(at('yield_percent'))).toBeCloseTo(19.34, 2);
  // A spreadsheet must not take a note for a formula.
  expect(at('note')).toBe(`"'=1+1"`);
});

test('a lead takes everything out as one file; nobody else is offered it', async ({ page, browser }) => {
  await signIn(page, 'lead');
  await page.goto('/in-and-out');
  const coming = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export everything' }).click();
  const file = await coming;
  expect(file.suggestedFilename()).toMatch(/^vendu-\d{4}-\d\d-\d\d\.zip$/);
  // A zip file, to its end: its first bytes, and the end of its directory.
  const zip = await readFile(await file.path());
  expect(zip.subarray(0, 4).toString('latin1')).toBe('PK\u0003\u0004');
  expect(zip.includes(Buffer.from('PK\u0005\u0006', 'latin1'))).toBe(true);
  expect(zip.includes(Buffer.from('datapackage.json'))).toBe(true);
  const { page: barista, context } = await pageOf(browser, 'barista');
  await barista.goto('/in-and-out');
  await expect(barista.getByText('A lead or an admin can export it.')).toBeVisible();
  await expect(barista.getByRole('button', { name: 'Export everything' })).toHaveCount(0);
  await context.close();
});

test('what the scale read leaves as a table, from the record of its brew', async ({ page }) => {
  await signIn(page, 'barista');
  await page.goto('/brews/3#record');
  const coming = page.waitForEvent('download');
  await page.getByRole('link', { name: 'The readings as CSV' }).click();
  const text = await readFile(await (await coming).path(), 'utf8');
  const [head, ...lines] = text.trimEnd().split('\r\n');
  expect(head).toBe('at_ms,mass_g');
  expect(lines.length).toBeGreaterThan(100);
  expect(lines.every((line) => /^\d+,-?\d+(\.\d+)?$/.test(line))).toBe(true);
});

test('the lots that fit a search leave as a table', async ({ page }) => {
  await signIn(page, 'barista');
  await page.goto('/lots?search=Mutwenzi');
  await expect(page.getByRole('link', { name: 'Mutwenzi Hill' })).toBeVisible();
  const coming = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Save as CSV' }).click();
  const text = await readFile(await (await coming).path(), 'utf8');
  const [head, line, ...others] = text.trimEnd().split('\r\n');
  expect(head).toMatch(/^lot,country,region,process/);
  expect(line).toMatch(/^Mutwenzi Hill,BI,/);
  expect(others).toEqual([]);
});
