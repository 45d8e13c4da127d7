import { readFile } from 'node:fs/promises';
import { expect, test } from '@playwright/test';
import { expectClean } from '../support/axe';
import { signIn } from '../support/people';

test('what a lot takes, and every other report: an answer, its drawing, its table, its file', async ({
  page,
}) => {
  await signIn(page, 'barista');
  await page.goto('/today');
  await page.getByRole('link', { name: 'Reports', exact: true }).click();
  await expect(
    page.getByText(/^A lot takes \d.* to an accepted recipe \(median of \d+ lots?\)/),
  ).toBeVisible();
  await expect(page.getByRole('img', { name: /^brews to an accepted recipe: \d+ drawn/ })).toBeVisible();
  await expectClean(page);

  await page.getByRole('link', { name: 'Coffee used' }).click();
  await expect(page.getByText(/^\d+ brews took \d+\.\d\d kg of coffee/)).toBeVisible();
  await page.getByRole('button', { name: '90 days' }).click();
  await expect(page).toHaveURL(/coffee-used\?days=90$/);
  await page.getByRole('button', { name: 'everything' }).click();
  const fetched = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Save the table as CSV' }).click();
  const file = await readFile(await (await fetched).path(), 'utf8');
  expect(file.split('\r\n')[0]).toBe('Lot,Brews,"Coffee, g","Left, g","Price, a kg",Cost');

  await page.getByRole('link', { name: 'Grinders' }).click();
  await expect(page.getByText(/^Halyard.*: \d+ lots on it came out weaker/)).toBeVisible();
  const row = page.getByRole('row', { name: /Mutwenzi Hill/ });
  await row.getByRole('link').click();
  await expect(page.getByRole('heading', { level: 1, name: 'Mutwenzi Hill' })).toBeVisible();
});

test('reports hold on a phone', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await signIn(page, 'barista');
  for (const [name, words] of [
    ['repeating', /^The same hands repeat strength/],
    ['forecasts', /^Strength came/],
    ['changes', /^The model’s figures came/],
    ['tasters', /taster|than the rest/],
  ] as const) {
    await page.goto(`/reports/${name}`);
    await expect(page.getByText(words).first()).toBeVisible();
    const overflow = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
    expect([name, overflow <= 0]).toEqual([name, true]);
  }
});
