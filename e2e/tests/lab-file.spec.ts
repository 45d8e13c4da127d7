import { readFile } from 'node:fs/promises';
import { expect, test } from '@playwright/test';
import { expectClean } from '../support/axe';
import { signIn } from '../support/people';
import { startRecipe, storeBrew } from '../support/work';
import { altered } from '../support/zips';

test('a lot leaves as a file, comes in beside itself as another lab’s, and is taken out again', async ({
  page,
}) => {
  await signIn(page, 'lead');
  const name = `Carried ${crypto.randomUUID().slice(0, 8)}`;
  const recipe = await startRecipe(page, name);
  await storeBrew(page, recipe);
  await page.goto(`/lots/${recipe.lot.id}`);
  const leaving = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Export this lot' }).click();
  const zip = await readFile(await (await leaving).path());

  await page.goto('/in-and-out');
  await page.getByRole('link', { name: 'Bring in a file' }).click();
  const chooser = page.getByLabel('File');
  await chooser.setInputFiles({
    name: 'notes.zip',
    mimeType: 'application/zip',
    buffer: Buffer.from('no zip'),
  });
  await expect(page.getByText(/This is no zip that can be read/)).toBeVisible();

  const send = (buffer: Buffer) =>
    chooser.setInputFiles({ name: `${name}.zip`, mimeType: 'application/zip', buffer });
  await send(zip);
  await expect(page.getByText('Everything in this file is here already.')).toBeVisible();
  await expect(page.getByRole('button', { name: /^Bring in what is new/ })).toHaveCount(0);

  // The same work as another lab would have done it: at another moment, under other keys, and called otherwise.
  const theirs = await altered(zip, (path, text) =>
    [
      'lots.csv',
      'recipes.csv',
      'recipe_versions.csv',
      'roast_batches.csv',
      'brews.csv',
      'brew-logs.jsonl',
    ].includes(path)
      ? text
          .replaceAll(name, `${name} of theirs`)
          .replace(/(:\d\d)\.\d{3}Z/g, '$1.777Z')
          .replace(/\b[0-9a-f]{8}-(?=[0-9a-f]{4}-)/g, 'ffffffff-')
      : text,
  );
  await send(theirs);
  await expect(page.getByRole('row', { name: /^brews 1 – – –$/i })).toBeVisible();
  await expectClean(page);
  await page.getByRole('button', { name: /^Bring in what is new/ }).click();
  await expect(page.getByText(/things came in/)).toBeVisible();
  await page.getByRole('link', { name: 'To the lots' }).click();
  await page.getByRole('searchbox').fill(`${name} of theirs`);
  await expect(page.getByRole('link', { name: `${name} of theirs` })).toBeVisible();

  await page.goto('/in-and-out/file');
  await page.getByRole('button', { name: `Take ${name}.zip out again` }).click();
  await expect(page.getByText(`What came with ${name}.zip is out again`)).toBeVisible();
  await page.goto(`/lots?search=${encodeURIComponent(`${name} of theirs`)}`);
  await expect(page.getByRole('link', { name: `${name} of theirs` })).toHaveCount(0);
});

test('bringing in a file is a lead’s', async ({ page }) => {
  await signIn(page, 'barista');
  await page.goto('/in-and-out/file');
  await expect(page.getByText('A lead or an admin can bring in a file that an export made.')).toBeVisible();
});
