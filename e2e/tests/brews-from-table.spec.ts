import { expect, test } from '@playwright/test';
import { expectClean } from '../support/axe';
import { signIn } from '../support/people';
import { startRecipe } from '../support/work';

test('a notebook of brews becomes the trail of a lot, its columns said once', async ({ page }) => {
  await signIn(page, 'barista');
  const recipe = await startRecipe(page, `Notebook ${crypto.randomUUID().slice(0, 8)}`);
  const { plan } = recipe.versions[0]!;
  const water = plan.pours.reduce((sum, { amountG }) => sum + amountG, 0);
  const roasted = new Date(Date.now() - 86_400_000).toISOString().slice(0, 10);
  await page.request.post(`/api/lots/${recipe.lot.id}/roast-batches`, { data: { roastedOn: roasted } });
  await page.goto(`/lots/${recipe.lot.id}`);
  await page.getByRole('link', { name: 'Add from CSV' }).click();
  const today = new Date().toISOString().slice(0, 10);
  const beverage = water - 2 * plan.doseG;
  const table = [
    'Date,Masse,Water,Beverage,TDS,Time,Notes',
    `${today} 00:00,${plan.doseG} g,${water},${beverage},1.30 1.32,2:51,sweet`,
    `${today} 00:01,a spoon,${water},${beverage},1.28,2:40,`,
  ].join('\n');
  await page.getByLabel('Or paste the lines').fill(table);
  await page.getByRole('button', { name: 'Read the lines' }).click();
  await expect(page.getByText('2 lines read')).toBeVisible();
  await page.getByLabel('Masse').selectOption('Dose');
  await expect(page.getByText('“a spoon” cannot be read.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Add 2 lines' })).toBeDisabled();
  await expectClean(page);
  // Nothing of it is lost by a reload.
  await page.reload();
  await expect(page.getByLabel('Masse')).toHaveValue('doseG');
  await page.getByRole('button', { name: 'Skip line 3' }).click();
  await page.getByRole('button', { name: 'Add 1 line' }).click();
  await expect(page.getByText('1 brew and 2 readings added')).toBeVisible();
  await expect(page.getByText('1.31').first()).toBeVisible();

  // What the brew taught is worked out, so that nothing moves under the hand any more.
  await expect(page.getByText(/^Brewed again,/)).toBeVisible();
  // The next file with such a heading is understood by itself, and a line that is here already is not added twice.
  await page.getByRole('link', { name: 'Add from CSV' }).click();
  await page.getByLabel('Or paste the lines').fill(table.split('\n').slice(0, 2).join('\n'));
  await page.getByRole('button', { name: 'Read the lines' }).click();
  await expect(page.getByLabel('Masse')).toHaveValue('doseG');
  await page.getByRole('button', { name: 'Add 1 line' }).click();
  await expect(page.getByText('0 brews and 0 readings added; 1 line here already')).toBeVisible();
});
