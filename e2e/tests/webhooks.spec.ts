import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { expect, test } from '@playwright/test';
import type { RecipeView } from '@vendu/contract';
import { expectClean } from '../support/axe';
import { signIn } from '../support/people';

test('a lead has another program told what is recalled and public again, and sees what it answered', async ({
  page,
}) => {
  let answers = 500;
  const other = createServer((request, response) => {
    request.resume().on('end', () => response.writeHead(answers).end());
  });
  await new Promise<void>((resolve) => other.listen(0, '127.0.0.1', resolve));
  await signIn(page, 'lead');
  await page.goto('/in-and-out');
  const name = `Chat ${crypto.randomUUID().slice(0, 8)}`;
  const told = page.getByRole('button', { name: 'Tell this address' });
  await page.getByLabel('For what').last().fill(name);
  await page.getByLabel('Address').fill('the chat');
  await told.click();
  await expect(page.getByText('Address must be one of the web, as https://example.org/vendu.')).toBeVisible();
  await page.getByLabel('Address').fill(`http://127.0.0.1:${(other.address() as AddressInfo).port}/`);
  await page.getByRole('button', { name: 'one goes off' }).click();
  await told.click();
  await expect(page.getByLabel(/checks signatures with, shown once/)).toHaveValue(/^whsec_/);
  await expect(page.getByText('Told nothing yet.')).toBeVisible();
  await expectClean(page);

  // A recipe of the demo that has been out for weeks.
  const recipe = (await (await page.request.get('/api/recipes/6')).json()) as RecipeView;
  const live = recipe.publications.find(({ withdrawnAt }) => withdrawnAt === null)!;
  await page.request.delete(`/api/publications/${live.id}`);
  const hook = page.getByRole('listitem').filter({ hasText: name });
  await hook.getByText(/^Last: waits to be told/).click();
  await expect(hook.getByText(/waits to be told, answered 500/)).toBeVisible();
  answers = 200;
  await hook.getByRole('button', { name: 'Tell it now' }).click();
  await expect(hook.getByText('told, answered 200')).toBeVisible();
  await page.request.post(`/api/publications/${live.id}/restore`);
  await expect(hook.getByText('told, answered 200')).toHaveCount(2);

  await page.getByRole('button', { name: `End ${name}` }).click();
  await expect(page.getByText(`“${name}” is told nothing any more`)).toBeVisible();
  other.close();
});
