import { expect, test, type Page } from '@playwright/test';
import { signIn } from '../support/people';
import { benchPath, publish, startRecipe, storeBrew } from '../support/work';

/** What the browser refused to do for the policy that came with the page. */
function refusals(page: Page): string[] {
  const refused: string[] = [];
  page.on('console', (message) => {
    if (message.text().includes('Content Security Policy')) refused.push(`${page.url()}: ${message.text()}`);
  });
  return refused;
}

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
    ...['/today', '/lots', `/lots/${recipe.lot.id}`, `/lots/${recipe.lot.id}/edit`, '/lots/new'],
    ...[`/recipes/${recipe.id}`, `/recipes/${recipe.id}/watch`, benchPath(recipe), `/brews/${brew.id}`],
    ...[`/brews/${brew.id}/taste/warm`, '/lots/1', '/brews/1', '/recipes/1/watch', '/compare', '/compare/1'],
    ...['/watch', '/reports', '/kit', '/schools', '/practice', '/in-and-out', '/people', '/operations'],
    ...['/r', card, '/sign-in'],
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
