import { expect, test } from '@playwright/test';
import type { RecipeView } from '@vendu/contract';
import { signIn } from '../support/people';

test('a starting recipe is asked for with a dose of one’s own, and kept with it', async ({ page }) => {
  await signIn(page, 'barista');
  await page.goto('/lots/5/start');
  const dose = page.getByRole('textbox', { name: 'Dose' });
  await expect(dose).toHaveValue(/^16/);
  const reasons = page.getByText(/was asked for; this brewer's usual dose is 16 g/);

  // More than the brewer takes: the plan stays as asked for, and the page says what to do.
  await dose.fill('60');
  await dose.press('Enter');
  await expect(page.getByRole('alert')).toContainText(/more than the \d+ g that this brewer takes/);
  // Beyond any brewer: refused at its field, as typed.
  await dose.fill('400');
  await dose.press('Enter');
  await expect(page.getByText(/Dose must be .*5.*120/)).toBeVisible();
  await expect(dose).toHaveValue(/400/);

  await dose.fill('18g');
  await dose.press('Enter');
  await expect(reasons).toContainText('18 g was asked for');
  await expect(page.getByRole('alert')).toHaveCount(0);
  await page.getByRole('button', { name: 'Keep this recipe' }).click();
  await expect(page).toHaveURL(/\/recipes\/\d+$/);
  const id = new URL(page.url()).pathname.split('/').at(-1) ?? '';
  const recipe = (await (await page.request.get(`/api/recipes/${id}`)).json()) as RecipeView;
  expect(recipe.versions[0]?.plan.doseG).toBe(18);

  // Emptied, or with another brewer, the dose is the brewer's usual one again.
  await page.goto('/lots/5/start');
  await dose.fill('22');
  await dose.press('Enter');
  await dose.fill('');
  await dose.press('Enter');
  await expect(dose).toHaveValue(/^16/);
});
