import { expect, test } from '@playwright/test';
import type { RecipeView } from '@vendu/contract';
import { signIn } from '../support/people';

test('a setting of one grinder is answered by the others, from either side, or told to be out of reach', async ({
  page,
}) => {
  await signIn(page, 'barista');
  await page.goto('/kit');
  const setting = page.getByLabel('Setting', { exact: true });
  // What others state of two grinders stands below, with an equals sign.
  const answer = (grinder: string) => page.getByRole('row').filter({ hasText: grinder, hasNotText: '=' });

  // Setting 6 of the first grinder was measured at 760 µm.
  await setting.fill('6');
  await setting.press('Enter');
  await expect(page.getByRole('heading', { name: /^760 µm/ })).toBeVisible();
  await expect(answer('Sextant hand grinder')).toContainText(/22.*\d+ to \d+.*7\d\d µm/);
  // A grinder is not asked what its own setting means.
  await expect(answer('Halyard')).toHaveCount(0);

  // What was never measured is not made up, and stays as typed.
  await setting.fill('60');
  await setting.press('Enter');
  await expect(page.getByText('outside the measured 2 to 10; settings are never extrapolated')).toBeVisible();
  await expect(setting).toHaveValue('60');

  const size = page.getByLabel('or size');
  await size.fill('480');
  await size.press('Enter');
  await expect(answer('Halyard')).toContainText(/2\.1/);
  await expect(answer('Sextant hand grinder')).toContainText(
    'Out of reach: at 14, its nearest, 30 µm too coarse. Use its finest, with more contact',
  );
});

test('a recipe says its grind on every grinder of the lab', async ({ page }) => {
  await signIn(page, 'barista');
  const { versions } = (await (await page.request.get('/api/recipes/1')).json()) as RecipeView;
  await page.goto('/recipes/1');
  const section = page.getByRole('heading', { name: /^Its grind on every grinder/ }).locator('..');
  await expect(section.getByRole('row').filter({ hasText: 'Halyard' })).toContainText(
    String(versions[0]?.grinderSetting),
  );
  await expect(section.getByRole('row').filter({ hasText: 'Sextant' })).toContainText(/1[4-9].*1\d to 1\d/);
});
