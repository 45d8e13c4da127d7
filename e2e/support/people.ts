import type { Browser, BrowserContext, Page } from '@playwright/test';

/** The invented people of the demo, by what the tests need of them. */
export const PEOPLE = {
  lead: { name: 'Ilse Varnholt', email: 'ilse@ninthmole.example', password: 'harbour-lead' },
  barista: { name: 'Tamsin Ekelund', email: 'tamsin@ninthmole.example', password: 'harbour-bench' },
  secondBarista: { name: 'Joss Pellwater', email: 'joss@ninthmole.example', password: 'harbour-bench' },
  admin: { name: 'Signe Halloran', email: 'signe@ninthmole.example', password: 'harbour-keys' },
  guest: { name: 'Maren Oldacre', email: 'maren@ninthmole.example', password: 'harbour-guest' },
} as const;
type Who = keyof typeof PEOPLE;

/** Signs a page in without the form, for tests that are about something else. */
export async function signIn(page: Page, who: Who): Promise<void> {
  const { email, password } = PEOPLE[who];
  const response = await page.request.post('/api/session', { data: { email, password } });
  if (!response.ok()) throw new Error(`sign-in of ${who} failed: ${response.status()}`);
}

export async function pageOf(browser: Browser, who: Who): Promise<{ page: Page; context: BrowserContext }> {
  const context = await browser.newContext();
  const page = await context.newPage();
  await signIn(page, who);
  return { page, context };
}
