import type { Locator, Page } from '@playwright/test';
import { signIn } from './people';

export const PASSWORD = 'a long harbour wall';

/** Somebody new, who is in already. */
export async function invited(
  page: Page,
  role: 'barista' | 'lead',
): Promise<{ email: string; name: string }> {
  await signIn(page, 'lead');
  const name = `Code ${crypto.randomUUID().slice(0, 8)}`;
  const email = `${name.replace(' ', '-').toLowerCase()}@ninthmole.example`;
  const added = await page.request.post('/api/people', { data: { name, role } });
  const { path } = (await added.json()) as { path: string };
  const secret = path.split('/').at(-1) ?? '';
  const taken = await page.request.put(`/api/invitations/${secret}`, {
    data: { name, email, password: PASSWORD },
  });
  if (taken.status() !== 204) throw new Error(`invitation of ${name} not taken: ${taken.status()}`);
  return { email, name };
}

export async function enter(page: Page, email: string): Promise<void> {
  await page.goto('/');
  await page.getByLabel('E-mail').fill(email);
  await page.getByLabel('Password').fill(PASSWORD);
  await page.getByRole('button', { name: 'Sign in', exact: true }).first().click();
}

/** What an app would make codes of, as it stands on the page. */
export async function secretOn(within: Locator | Page): Promise<string> {
  const shown = await within.getByText(/^([A-Z2-7]{4} ?){8}$/).textContent();
  return (shown ?? '').replaceAll(' ', '');
}
