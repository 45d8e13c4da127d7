import { expect, test } from '@playwright/test';
import { pageOf } from '../support/people';
import { benchPath, startRecipe } from '../support/work';

test('a brew that somebody takes over is told to who had it, and can be taken back', async ({ browser }) => {
  const { page: tamsin, context: hers } = await pageOf(browser, 'barista');
  const { page: joss, context: his } = await pageOf(browser, 'secondBarista');
  const recipe = await startRecipe(tamsin, 'Two hands');
  await tamsin.goto(benchPath(recipe));
  await expect(tamsin.getByText('Before the clock')).toBeVisible();
  await tamsin.keyboard.press('Space');
  await expect(tamsin.getByText('on this device and on the server')).toBeVisible();

  await joss.goto('/lots');
  await expect(joss.getByText(/On another bench: Two hands/)).toContainText('Tamsin Ekelund');
  await joss
    .getByText(/On another bench: Two hands/)
    .locator('..')
    .getByRole('button', { name: 'Continue here' })
    .click();
  await joss.getByRole('link', { name: /Back to the bench/ }).click();
  await expect(joss.getByRole('button', { name: /Swirl now/ })).toBeVisible();
  await expect(joss.getByText('on this device and on the server')).toBeVisible();

  await joss.keyboard.press('b');
  await expect(joss.getByText(/bed visible at/)).toBeVisible();

  // She marks on, and learns that the brew is elsewhere; nothing of either is overwritten.
  await tamsin.keyboard.press('Space');
  await expect(tamsin.getByRole('alert')).toContainText(
    'Joss Pellwater is continuing this brew on another bench.',
  );
  await tamsin.getByRole('button', { name: 'Bring it back here' }).click();
  await expect(tamsin.getByText('on this device and on the server')).toBeVisible();
  // It is one brew by now, with what either of them saw of it.
  await expect(tamsin.getByText(/bed visible at/)).toBeVisible();
  await expect(tamsin.getByRole('button', { name: /Pour 2 now/ })).toBeVisible();
  await joss.keyboard.press('Space');
  await expect(joss.getByRole('alert')).toContainText(
    'Tamsin Ekelund is continuing this brew on another bench.',
  );
  await hers.close();
  await his.close();
});
