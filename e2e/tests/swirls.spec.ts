import { expect, test } from '@playwright/test';
import { signIn } from '../support/people';
import { publish, startRecipe } from '../support/work';

test('hard swirls that are counted and a swirl that is left open: board, bench, record, card', async ({
  page,
}) => {
  await signIn(page, 'lead');
  const recipe = await startRecipe(page, 'Eight hard swirls');
  await page.goto(`/recipes/${recipe.id}`);
  await expect(page.getByRole('region', { name: 'Forecast' }).getByText('Rough ranges')).toBeVisible();
  await page.getByLabel('Pour 3, agitation after it').selectOption({ label: 'wall stir' });
  await page.getByText('Count and force of swirls').click();
  const times = page.getByLabel('Bloom, times');
  await times.fill('80');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Times must be 1 to 50 x.')).toBeVisible();
  await times.fill('8');
  await page.keyboard.press('Enter');
  await page.getByLabel('Bloom, hard').check();
  await page.getByLabel('Pour 3, only if').selectOption({ label: 'only if the roast is old' });
  await page.getByRole('button', { name: 'Save as version 2' }).click();
  await expect(
    page.getByText('swirl after 1 → 8 hard swirls after 1, stir along the wall if the roast is old after 3'),
  ).toBeVisible();
  await page.reload();
  await expect(
    page.getByText('8 hard swirls after Bloom; stir along the wall if the roast is old after Pour 3'),
  ).toBeVisible();

  await page.getByRole('link', { name: 'Brew version 2' }).click();
  await expect(page.getByText('Before the clock')).toBeVisible();
  await page.keyboard.press('Space');
  await expect(page.getByText('8 times, hard').first()).toBeVisible();
  for (const step of ['Swirl', 'Pour 2', 'Pour 3']) {
    await expect(page.getByRole('button', { name: new RegExp(`^${step} now`) })).toBeVisible();
    await page.keyboard.press('Space');
  }
  await expect(page.getByRole('button', { name: /^Stir along the wall now/ })).toBeVisible();
  await expect(page.getByText('else S skips it')).toBeVisible();
  await expect(page.getByText(/^(in|late) \d/)).toHaveCount(0);
  await page.keyboard.press('s');
  await expect(page.getByRole('button', { name: /^Drained now/ })).toBeVisible();
  await page.keyboard.press('Space');
  await page.getByRole('button', { name: 'Save the brew' }).click();
  await expect(page.getByRole('heading', { name: /^Brew \d/ })).toBeVisible();
  await page.getByRole('tab', { name: /^Record/ }).click();
  const row = page.getByRole('row').filter({ hasText: 'if the roast is old' });
  await expect(row).toContainText('skipped');

  await page.goto(await publish(page, recipe.id));
  await expect(page.getByText('Swirl the brewer 8 times hard.')).toBeVisible();
  await expect(page.getByText('If the roast is old, stir along the wall gently.')).toBeVisible();
});
