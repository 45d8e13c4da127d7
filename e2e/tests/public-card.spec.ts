import { expect, test } from '@playwright/test';

const CARD = '/r/umuseke-ridge-kittiwake-60';

test('the card prints on one sheet, without the parts that are for the screen', async ({ page }) => {
  await page.goto(CARD);
  await expect(page.getByRole('heading', { name: 'Umuseke Ridge' })).toBeVisible();
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('button', { name: /Print/ })).toBeHidden();
  await expect(page.getByRole('timer')).toBeHidden();
  await expect(page.getByText('to 260 g on the scale')).toBeVisible();
  const pdf = await page.pdf({ format: 'A4', preferCSSPageSize: true });
  const pages = pdf.toString('latin1').match(/\/Type\s*\/Page\b/g) ?? [];
  expect(pages).toHaveLength(1);
});

test('the card holds on a small phone and with large text', async ({ page }) => {
  for (const width of [320, 390, 768]) {
    await page.setViewportSize({ width, height: 700 });
    await page.goto(CARD);
    await expect(page.getByRole('heading', { name: 'Umuseke Ridge' })).toBeVisible();
    await page.addStyleTag({ content: 'html { font-size: 20px }' });
    const overflow = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
    expect([width, overflow <= 0]).toEqual([width, true]);
  }
});

test('a visitor finds the card from the list and learns nothing of the lab', async ({ page }) => {
  const asked: string[] = [];
  page.on('request', (request) => {
    if (request.url().includes('/api/')) asked.push(new URL(request.url()).pathname);
  });
  await page.goto('/r');
  await page.getByRole('link', { name: /Umuseke Ridge/ }).click();
  await expect(page.getByText('97°C')).toBeVisible();
  await expect(page.getByText('207 °F')).toBeVisible();
  expect([...new Set(asked)].sort()).toEqual([
    '/api/published',
    '/api/published/umuseke-ridge-kittiwake-60',
    '/api/session',
  ]);
});
