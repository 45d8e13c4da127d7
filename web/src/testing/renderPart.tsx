import { render, type RenderResult } from '@testing-library/react';
import type { ReactNode } from 'react';
import { Provider } from 'react-redux';
import { MemoryRouter } from 'react-router';
import { vi } from 'vitest';
import type { Problem } from '@vendu/contract';
import type { Role } from '@vendu/core';
import { createStore } from '../app/store';

/** One answer of the stand-in server. */
export interface Answer {
  status?: number;
  body: unknown;
}

export interface SentRequest {
  method: string;
  path: string;
  body: unknown;
}

/**
 * Puts a stand-in in the place of the server: answers by `METHOD path`, everything else is not found.
 *
 * @returns what was sent, in order, sessions left out
 */
export function standInServer(answers: Record<string, Answer>, role: Role = 'barista'): SentRequest[] {
  const sent: SentRequest[] = [];
  const session: Answer = { body: { person: { id: 2, name: 'Tamsin', role }, demoAccounts: [] } };
  vi.stubGlobal('fetch', async (request: Request) => {
    const path = new URL(request.url).pathname.replace('/api/', '');
    const key = `${request.method} ${path}`;
    if (key !== 'GET session') {
      const text = await request.text();
      sent.push({ method: request.method, path, body: text === '' ? null : JSON.parse(text) });
    }
    const { status = 200, body } =
      key === 'GET session' ? session : (answers[key] ?? { status: 404, body: null });
    return new Response(JSON.stringify(body), { status, headers: { 'content-type': 'application/json' } });
  });
  return sent;
}

export function problem(kind: string, detail: string, errors: Problem['errors'] = []): Answer {
  const body = {
    type: `/problems/${kind}`,
    title: '',
    status: 409,
    detail,
    instance: '',
    requestId: '',
    errors,
  };
  return { status: kind === 'invalid-input' ? 422 : 409, body };
}

/** Renders a part of a page with a store and a router of its own, at an address where that matters. */
export function renderPart(
  part: ReactNode,
  address = '/',
): RenderResult & { store: ReturnType<typeof createStore> } {
  const store = createStore();
  const rendered = render(
    <Provider store={store}>
      <MemoryRouter initialEntries={[address]}>{part}</MemoryRouter>
    </Provider>,
  );
  return { ...rendered, store };
}
