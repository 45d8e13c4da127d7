import { expect, test } from '@playwright/test';
import { signIn } from '../support/people';
import { refusals } from '../support/policy';
import { benchPath, publish, startRecipe, storeBrew } from '../support/work';

// Most pages are looked at in accessibility.spec.ts, which asks the same of each.
test('no page needs a style or a program that stands in it: the policy allows none', async ({ page }) => {
  const refused = refusals(page);
  await signIn(page, 'lead');
  const recipe = await startRecipe(page, 'Nothing inline');
  const brew = await storeBrew(page, recipe);
  const card = await publish(page, recipe.id);
  const answer = await page.goto('/today');
  const policy = answer?.headers()['content-security-policy'] ?? '';
  expect(policy).toMatch(/style-src 'self' 'nonce-[\w+/=]{20,}'(;|$)/);
  expect(policy).not.toContain('unsafe');
  expect(policy).toContain("frame-ancestors 'self'");
  for (const path of [
    ...[`/recipes/${recipe.id}`, benchPath(recipe), `/brews/${brew.id}`, card],
    ...['/people', '/operations'],
  ]) {
    await page.goto(path);
    await expect(page.getByRole('heading').first()).toBeVisible();
  }

  await test.step('nor what opens over a page', async () => {
    await page.goto(`/recipes/${recipe.id}`);
    await page.getByLabel('Which water').click();
    await expect(page.getByRole('option').first()).toBeVisible();
    // The page under an open list stays where it is: that style is let in by its word.
    await expect(page.locator('body')).toHaveCSS('overflow', 'hidden');
    await page.keyboard.press('Escape');
    await page.goto('/people');
    const added = page.getByText(/let in no more|signed in/).first();
    await expect(added).toBeVisible();
  });
  expect(refused).toEqual([]);
});
