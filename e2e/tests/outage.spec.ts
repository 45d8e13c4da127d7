import { expect, test, type Route } from '@playwright/test';
import { signIn } from '../support/people';
import { startRecipe, storeBrew } from '../support/work';

/** As the server answers while its database is down. */
const databaseDown = (route: Route) =>
  route.fulfill({
    status: 503,
    contentType: 'application/problem+json',
    body: JSON.stringify({
      type: '/problems/unavailable',
      title: 'The database does not answer',
      status: 503,
      detail: 'The database does not answer just now. Try again in a moment.',
      instance: '/api',
      requestId: 'x',
      errors: [],
    }),
  });

test('a database that is down shows the application with what is the matter, and it goes on by itself', async ({
  page,
}) => {
  await signIn(page, 'barista');
  await page.route('**/api/**', databaseDown);
  await page.goto('/lots');
  await expect(page.getByRole('heading', { name: 'The database does not answer' })).toBeVisible();
  await expect(page.getByRole('status')).toContainText('tries again every few seconds');
  await page.unroute('**/api/**');
  await expect(page.getByRole('heading', { name: /^Lots/ })).toBeVisible();
});

test('a server that is gone is told from a database that is down, on the page for signing in too', async ({
  page,
}) => {
  await page.route('**/api/**', (route) => route.abort());
  await page.goto('/sign-in');
  await expect(page.getByRole('heading', { name: 'The server does not answer' })).toBeVisible();
  await page.unroute('**/api/**');
  await page.getByRole('button', { name: 'Try now' }).click();
  await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
});

test('a reading whose answer was lost is stored once when it is sent again', async ({ page }) => {
  await signIn(page, 'barista');
  const brew = await storeBrew(page, await startRecipe(page, 'Lost answer'));
  await page.goto(`/brews/${brew.id}`);
  const reading = page.getByRole('textbox', { name: /Reading/ }).first();
  await reading.fill('1.34');
  // It arrives, and its answer does not.
  await page.route('**/readings', async (route) => {
    await route.fetch();
    await route.abort();
  });
  await reading.press('Enter');
  await expect(page.getByRole('alert').first()).toContainText('The server does not answer');
  await page.unroute('**/readings');
  await reading.press('Enter');
  await expect(reading).toHaveValue('');
  const stored = (await (await page.request.get(`/api/brews/${brew.id}`)).json()) as { readings: unknown[] };
  expect(stored.readings).toHaveLength(1);
});
