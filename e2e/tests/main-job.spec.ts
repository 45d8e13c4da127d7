import { expect, test, type Page } from '@playwright/test';
import { PEOPLE } from '../support/people';

/** What is learned and expected stands beside a recipe: nothing is on its way to where somebody clicks. */
async function workedOut(page: Page): Promise<void> {
  await expect(page.getByText('home brewers get this cup')).toBeVisible();
  await expect(page.getByText(/^To do: /)).toBeVisible();
}

test('from a new lot to a public recipe, typed as a new user would', async ({ page, browser }) => {
  let recipePath = '';

  await test.step('sign in', async () => {
    await page.goto('/');
    await page.getByLabel('E-mail').fill(PEOPLE.barista.email);
    await page.getByLabel('Password').fill(PEOPLE.barista.password);
    await page.getByRole('button', { name: 'Sign in', exact: true }).first().click();
    await expect(page.getByRole('heading', { name: /^Today/ })).toBeVisible();
  });

  await test.step('take in a lot', async () => {
    await page.keyboard.press('n');
    await page.getByLabel('Name').fill('Kasungiro Slope');
    await page.getByLabel('Country').selectOption({ label: 'Uganda' });
    await page.getByLabel('Elevation').fill('1,850 - 2,000');
    await page.getByLabel('Process').selectOption({ label: 'Washed' });
    await page.getByLabel('Roast date').fill('2026-11-18');
    await page.getByLabel('Roast level').selectOption({ label: 'Light' });
    await page.getByLabel('Stock weighed in').fill('1200 g');
    await page.getByText('The green, as measured').click();
    await page.getByLabel('Density, g/L').fill('72');
    await page.getByLabel('Moisture, %').fill('10.8');
    await expect(page.getByText('Density must be 400 to 1000 g/L.')).toBeVisible();
    await page.getByLabel('Density, g/L').fill('722');
    await page.getByRole('button', { name: 'Add the lot' }).click();
    await expect(page.getByRole('heading', { name: 'Kasungiro Slope' })).toBeVisible();
    await expect(page.getByText('1850–2000 m')).toBeVisible();
    await expect(page.getByText('density 722 g/L, moisture 10.8 %')).toBeVisible();
  });

  await test.step('get a starting recipe with its reasons', async () => {
    await page.getByRole('link', { name: 'See the starting recipe' }).click();
    await page.getByLabel('Brewer').click();
    await page.getByRole('option', { name: /^Kittiwake cone/ }).click();
    await expect(page.getByText('Rough ranges')).toBeVisible();
    await page.getByRole('button', { name: 'Keep this recipe' }).click();
    await expect(page.getByRole('heading', { name: /Kittiwake cone/ })).toBeVisible();
    await expect(
      page.getByText('grown high and washed: dense, extracts slowly, so hotter and finer').first(),
    ).toBeVisible();
    await page.getByRole('button', { name: 'Where kettle comes from' }).click();
    await expect(page.getByRole('dialog', { name: 'Where kettle comes from' })).toContainText('house recipe');
    await page.keyboard.press('Escape');
  });

  await test.step('alter the pours: totals, a time, a temperature in Fahrenheit', async () => {
    // How much water it starts with is what the house's lots taught.
    const own = async (name: string) => Number(await page.getByLabel(name).inputValue());
    const [bloomG, waterG] = [await own('Bloom, amount'), await own('Pour 3, running total')];
    await type(page, 'Pour 2, running total', '160');
    await expect(page.getByLabel('Pour 2, amount')).toHaveValue(String(160 - bloomG));
    await expect(page.getByLabel('Pour 3, running total')).toHaveValue(String(waterG));
    await type(page, 'Ratio', '1:16');
    await expect(page.getByLabel('Water', { exact: true })).toHaveValue('256');
    await expect(page.getByLabel('Pour 3, running total')).toHaveValue('256');
    await type(page, 'Pour 3, start', '1:25');
    await type(page, 'Kettle', '203f');
    await expect(page.getByLabel('Kettle', { exact: true })).toHaveValue('95');
    await page.getByLabel('What changed and why').fill('rounder ratio, a calmer end');
    await page.getByRole('button', { name: 'Save as version 2' }).click();
    await expect(page.getByRole('heading', { name: /version 2/ })).toBeVisible();
  });

  await test.step('brew it against the clock, with a reload in the middle', async () => {
    await page.getByRole('link', { name: 'Brew version 2' }).click();
    await expect(page.getByText('Before the clock')).toBeVisible();
    await page.keyboard.press('Space');
    await expect(page.getByRole('timer')).not.toHaveText('0:00');
    await page.keyboard.press('Space'); // swirl
    await page.reload();
    await expect(page.getByRole('timer')).not.toHaveText('0:00');
    await page.keyboard.press('Space'); // pour 2
    await page.keyboard.press('n');
    await page.keyboard.type('bed flat, calm');
    await page.keyboard.press('Escape');
    await page.keyboard.press('Space'); // pour 3
    await type(page, 'Pour 3, scale showed', '257');
    await page.keyboard.press('Space'); // drained
    await page.getByRole('button', { name: 'Save the brew' }).click();
    await expect(page.getByRole('heading', { name: 'Brew 1' })).toBeVisible();
    await expect(page.getByLabel('Notes')).toHaveValue('bed flat, calm');
  });

  await test.step('weigh the beverage and enter three readings', async () => {
    await expect(page.getByLabel('Dose', { exact: true })).toHaveValue('');
    await type(page, 'Dose', '16');
    await type(page, 'Beverage', '226.5');
    await expect(page.getByText(/^saved \d\d:\d\d$/)).toBeVisible();
    for (const [index, reading] of ['1.33', '1,35', '1.34'].entries()) {
      await page.getByLabel(`Reading ${index + 1}, % TDS`).fill(reading);
      await page.keyboard.press('Enter');
      await expect(page.getByLabel(`Reading ${index + 2}, % TDS`)).toBeVisible();
    }
  });

  await test.step('see strength and yield with their uncertainty, checked against an independent sum', async () => {
    const tds = (1.33 + 1.35 + 1.34) / 3;
    const yieldPercent = (tds * 226.5) / 16;
    // JCGM 100:2008, first order: instrument 0.03 % with the spread of three readings, 0.5 g, 0.1 g.
    const relative = [Math.hypot(0.03, 0.01 / Math.sqrt(3)) / tds, 0.5 / 226.5, 0.1 / 16];
    const uncertainty = yieldPercent * Math.hypot(...relative);
    await expect(page.getByText(`${tds.toFixed(2)}± 0.03`)).toBeVisible();
    await expect(page.getByText(`${yieldPercent.toFixed(1)}± ${uncertainty.toFixed(1)}`)).toBeVisible();
    // Computed: (257 - 226.5) / 16 = 1.91.
    await expect(page.getByText('1.91', { exact: false }).first()).toBeVisible();
    const map = page.getByRole('figure', { name: /Extraction map: brew 1 at/ });
    await expect(map).toHaveAttribute('aria-label', new RegExp(`${yieldPercent.toFixed(1)} % yield`));
  });

  await test.step('write what it tasted of, and a verdict', async () => {
    // The figure just entered keeps its keys until it is left.
    await page.getByRole('heading', { name: 'Brew 1' }).click();
    await page.keyboard.press('t');
    await expect(page.getByRole('tab', { name: /Taste/ })).toHaveAttribute('aria-selected', 'true');
    await page.keyboard.press('t');
    await expect(page.getByRole('heading', { name: 'Taste it hot' })).toBeVisible();
    await page.keyboard.press('Space');
    await page.keyboard.press('Space');
    await page.keyboard.type('67');
    await page.getByRole('combobox', { name: 'What it tastes of' }).fill('cane sugar, lime,');
    await page.keyboard.press('Control+Enter');
    await expect(page.getByRole('region', { name: 'Hot sheets' })).toContainText('cane sugar, lime');
    await page.getByRole('link', { name: 'Brew 1', exact: true }).click();
    await page.getByRole('radio', { name: 'On aim' }).click();
    await page.getByLabel('Why').fill('sweet and clear, as meant');
    await page.keyboard.press('Enter');
    await expect(page.getByText(/^saved/).last()).toBeVisible();
    // The result stays in sight, and the record is one key away.
    await expect(page.getByText('1.34± 0.03')).toBeInViewport();
    await page.keyboard.press('r');
    await expect(page.getByRole('tab', { name: /Record/ })).toHaveAttribute('aria-selected', 'true');
    await expect(page.getByRole('textbox', { name: 'Pour 3 ended on' })).toHaveValue('257');
    await page.keyboard.press('t');
    await expect(page.getByLabel('Why')).toHaveValue('sweet and clear, as meant');
  });

  await test.step('accept the recipe', async () => {
    await page.getByRole('link', { name: 'To the recipe' }).click();
    await workedOut(page);
    await page.getByRole('button', { name: 'Accept version 2' }).click();
    await expect(page.getByText(/^To prove: repeats that agree, another pair of hands/)).toBeVisible();
  });

  await test.step('a second person brews it twice, on another grinder', async () => {
    recipePath = new URL(page.url()).pathname;
    await page.getByRole('button', { name: 'Sign out' }).click();
    await page.getByRole('button', { name: new RegExp(PEOPLE.secondBarista.name) }).click();
    await expect(page.getByRole('heading', { name: /Today|Kittiwake/ })).toBeVisible();
    for (const tds of [1.35, 1.33]) await proofBrew(page, recipePath, tds);
    await page.goto(recipePath);
    await workedOut(page);
    await page.getByRole('link', { name: 'Prove version 2' }).click();
    await expect(page.getByRole('heading', { name: 'Proof of version 2' })).toBeVisible();
    await expect(page.getByText('Missing: tasted hot, warm and cool.')).toBeVisible();
  });

  await test.step('a lead waives what is missing, signs off and publishes', async () => {
    const address = page.url();
    await page.getByRole('button', { name: 'Sign out' }).click();
    await page.getByRole('button', { name: new RegExp(PEOPLE.lead.name) }).click();
    await expect(page.getByRole('heading', { name: /Today|Proof/ })).toBeVisible();
    await page.goto(address);
    await page.getByRole('button', { name: 'Waive: tasted hot, warm and cool' }).click();
    await page.getByLabel('Why it may pass').fill('Tasted cool by ear on the floor, no sheet.');
    await page.keyboard.press('Enter');
    await expect(page.getByText('Nothing is missing.')).toBeVisible();
    await page.getByRole('button', { name: 'Sign off version 2' }).click();
    await page.getByRole('link', { name: 'Publish it' }).click();
    await workedOut(page);
    await page.getByLabel('Note to the customer').fill('Sweet and bright. Let it cool a little.');
    await page.getByRole('button', { name: 'Publish version 2' }).click();
    await expect(page.getByRole('link', { name: '/r/kasungiro-slope-kittiwake-cone' })).toBeVisible();
  });

  await test.step('its public page opens in a browser that is not signed in', async () => {
    const stranger = await browser.newContext({ viewport: { width: 390, height: 844 } });
    const phone = await stranger.newPage();
    await phone.goto('/r/kasungiro-slope-kittiwake-cone');
    await expect(phone.getByRole('heading', { name: 'Kasungiro Slope' })).toBeVisible();
    await expect(phone.getByText('Sweet and bright. Let it cool a little.')).toBeVisible();
    await expect(phone.getByText('95°C')).toBeVisible();
    await expect(phone.getByText('203 °F; above 1500 m straight off the boil')).toBeVisible();
    await phone.getByRole('button', { name: 'Start with the first pour' }).click();
    await expect(phone.getByRole('timer')).not.toHaveText('0:00');
    await expect(phone.locator('[aria-current=step]')).toContainText('Bloom');
    const width = await phone.evaluate(() => document.documentElement.scrollWidth);
    expect(width).toBeLessThanOrEqual(390);
    await phone.goto('/lots');
    await expect(phone.getByRole('heading', { name: 'Sign in' })).toBeVisible();
    await stranger.close();
  });
});

test('a second brew of the same recipe shows beside the first', async ({ page }) => {
  await page.goto('/sign-in');
  await page.getByRole('button', { name: new RegExp(PEOPLE.barista.name) }).click();
  await expect(page.getByRole('heading', { name: /^Today/ })).toBeVisible();
  await page.goto('/lots?search=Umuseke');
  await page.getByRole('link', { name: 'Umuseke Ridge' }).click();
  await page.getByRole('link', { name: 'Brew 4' }).click();
  const beside = page.getByRole('table').filter({ hasText: 'Plan differs in' });
  await expect(beside.getByRole('columnheader', { name: /Brew [1-4]/ })).toHaveCount(4);
  await expect(beside.getByRole('row', { name: /Plan differs in/ })).toContainText('nothing');
});

/** Brews a recipe's newest version by hand on the other grinder, weighs and reads it. */
async function proofBrew(page: Page, recipePath: string, tdsPercent: number): Promise<void> {
  await page.goto(recipePath);
  await page.getByRole('link', { name: 'Prove version 2' }).click();
  await page.getByRole('link', { name: 'Brew from the card alone' }).click();
  await expect(page.getByText('Before the clock')).toBeVisible();
  // The bench says what the card says, and no more.
  await expect(page.getByText(/^Bloom: wet all grounds with/)).toBeVisible();
  await page.getByLabel('Which grinder').selectOption({ index: 1 });
  await page.getByRole('heading', { name: 'Before the clock' }).click();
  for (let step = 0; step < 5; step++) {
    await page.keyboard.press('Space');
    await expect(page.getByRole('timer')).not.toHaveText('0:00');
  }
  await page.getByRole('button', { name: 'Save the brew' }).click();
  await expect(page.getByRole('heading', { name: /^Brew \d/ })).toBeVisible();
  await type(page, 'Beverage', '226');
  await expect(page.getByText(/^saved \d\d:\d\d$/)).toBeVisible();
  await page.getByLabel('Reading 1, % TDS').fill(String(tdsPercent));
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Reading 2, % TDS')).toBeVisible();
}

/** Types a figure into its field and leaves it by Enter. */
async function type(page: Page, label: string, text: string): Promise<void> {
  const field = page.getByLabel(label, { exact: true });
  await field.fill(text);
  await field.press('Enter');
  await field.blur();
}
