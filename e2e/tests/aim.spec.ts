import { expect, test } from '@playwright/test';
import { signIn } from '../support/people';

test('a recipe whose brews lie in its window is on aim; an aim of its own holds wherever an aim is shown', async ({
  page,
}) => {
  await signIn(page, 'lead');
  await page.goto('/lots/1');
  await expect(page.getByRole('heading', { name: 'On aim and signed off: nothing to change' })).toBeVisible();
  await expect(page.getByText('aim, house window')).toBeVisible();
  const chance = await page.getByText(/such cups lie in the window/).textContent();
  expect(Number(/(\d+) of 100/.exec(chance ?? '')?.[1])).toBeGreaterThan(60);

  await page.goto('/recipes/1');
  await expect(page.getByText('Aim, house window')).toBeVisible();
  await page.getByRole('button', { name: 'What this recipe aims at' }).click();
  const aim = page.getByRole('dialog', { name: 'What this recipe aims at' });
  for (const [field, text] of [
    ['Strength from', '1.05'],
    ['Strength to', '1.15'],
    ['Drain time from', '2:20'],
  ] as const) {
    await aim.getByLabel(field).fill(text);
  }
  await aim.getByRole('button', { name: 'Save' }).click();
  await expect(aim.getByText('A drain time aimed at needs both ends, or neither.')).toBeVisible();
  await aim.getByLabel('Drain time to').fill('2:50');
  await aim.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('Aim, of this recipe')).toBeVisible();
  await expect(page.getByText('2:20–2:50')).toBeVisible();

  // The same brews are too strong for this aim, and the first change offered is what that asks for.
  await page.goto('/lots/1');
  await expect(page.getByText('aim, of this recipe')).toBeVisible();
  await expect(page.getByText(/it is too strong and the yield is there/).first()).toBeVisible();
  await page.goto('/recipes/1');
  await page.getByRole('button', { name: 'Use the house’s aim' }).click();
  await expect(page.getByText('Aim, house window')).toBeVisible();
});

test('what the record says was wrong is pressed already, with where it says so', async ({ page }) => {
  await signIn(page, 'barista');
  await page.goto('/lots/3');
  const wrong = page.getByRole('group', { name: 'What was wrong?' });
  await expect(wrong.getByRole('button', { name: 'watery' })).toHaveAttribute('aria-pressed', 'true');
  await expect(wrong).toContainText(/From the record: watery \(“thin”, tasted hot by /);
  // What a person takes away stays away.
  await wrong.getByRole('button', { name: 'watery' }).click();
  await page.reload();
  await expect(wrong.getByRole('button', { name: 'watery' })).toHaveAttribute('aria-pressed', 'false');
});
