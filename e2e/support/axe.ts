import { AxeBuilder } from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

const WCAG = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'];

/** What is on the page, dialogs included, has no fault of accessibility that a machine can find. */
export async function expectClean(page: Page, rules?: string[]): Promise<void> {
  // No frame lies in a page: looked at in one go it takes less than half the time. What passed is told to nobody.
  const axe = new AxeBuilder({ page }).setLegacyMode(true);
  const { violations } = await axe
    .options({ runOnly: rules ? { type: 'rule', values: rules } : WCAG, resultTypes: ['violations'] })
    .analyze();
  expect(
    violations.map(({ id, nodes }) => `${id}: ${nodes.map(({ target }) => target.join(' ')).join(' | ')}`),
  ).toEqual([]);
}
