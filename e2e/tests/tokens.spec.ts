import { expect, test } from '@playwright/test';
import { expectClean } from '../support/axe';
import { signIn } from '../support/people';

test('a token is made, opens what it may and nothing else, and is ended with a way back', async ({
  page,
  playwright,
  baseURL,
}) => {
  await signIn(page, 'barista');
  await page.goto('/in-and-out');
  await page.getByRole('button', { name: 'Make a token' }).click();
  await expect(page.getByText('For what is required.')).toBeVisible();
  const name = `Backup ${crypto.randomUUID().slice(0, 8)}`;
  await page.getByLabel('For what').fill(name);
  await page.getByLabel('Last day').fill('2099-01-01');
  await page.getByRole('button', { name: 'Make a token' }).click();
  await expect(page.getByText(/^Last day must be from 20\d\d/)).toBeVisible();
  await expect(page.getByLabel('For what')).toHaveValue(name);
  const nextMonth = new Date(Date.now() + 30 * 86_400_000).toISOString().slice(0, 10);
  await page.getByLabel('Last day').fill(nextMonth);
  await page.getByRole('button', { name: 'Make a token' }).click();
  const token = await page.getByLabel(/^The token for/).inputValue();
  await expectClean(page);

  const program = await playwright.request.newContext({
    baseURL: baseURL!,
    extraHTTPHeaders: { Authorization: `Bearer ${token}` },
  });
  expect((await program.get('/api/lots')).status()).toBe(200);
  const refused = await program.post('/api/lots', { data: { name: 'No' } });
  expect(refused.status()).toBe(403);
  expect(((await refused.json()) as { detail: string }).detail).toBe('This token may read and nothing else.');

  await page.getByRole('button', { name: `End ${name}` }).click();
  await expect(page.getByText(`“${name}” opens nothing any more`)).toBeVisible();
  expect((await program.get('/api/lots')).status()).toBe(401);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: `End ${name}` })).toBeVisible();
  expect((await program.get('/api/lots')).status()).toBe(200);
  // It is told once.
  await page.reload();
  await expect(page.getByText(name)).toBeVisible();
  await expect(page.getByLabel(/^The token for/)).toHaveCount(0);
  await program.dispose();
});
