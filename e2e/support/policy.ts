import type { Page } from '@playwright/test';

/** What the browser refuses to do for the policy that came with the page, from now on. */
export function refusals(page: Page): string[] {
  const refused: string[] = [];
  page.on('console', (message) => {
    if (message.text().includes('Content Security Policy')) refused.push(`${page.url()}: ${message.text()}`);
  });
  return refused;
}
