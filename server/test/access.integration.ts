import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Role } from '@vendu/core';
import type { NewTokenView } from '@vendu/contract';
import { DEMO_ACCOUNTS } from '../src/people/demo-accounts.js';
import { administer } from './support/database.js';
import { sessionCookieIn, startTestApplication, type TestApplication } from './support/application.js';

// Every operation of the API by everybody who may knock, made from the document, which is made from the code. What is
// asked for is of no sense on purpose: whoever is let in is told that it is not there or not right, never that he may not.

interface Operation {
  path: string;
  method: string;
  access: 'everybody' | 'all roles' | 'taster' | 'signed in' | 'admin' | 'lead' | 'lead or admin';
}

const KNOCKING = ['nobody', 'taster', 'barista', 'lead', 'admin', 'token: read', 'token: record'] as const;
type Knocking = (typeof KNOCKING)[number];

let app: TestApplication;
let operations: Operation[];
/** What each shows at the door; the tokens are a lead's, so that only their right holds them back. */
const shown = new Map<Knocking, Record<string, string>>([['nobody', {}]]);

beforeAll(async () => {
  app = await startTestApplication();
  const { paths } = (await app.visitor.get('/api/docs/json').expect(200)).body as {
    paths: Record<string, Record<string, { 'x-access'?: Operation['access'] }>>;
  };
  operations = Object.entries(paths).flatMap(([path, item]) =>
    Object.entries(item).map(([method, operation]) => ({
      path,
      method: method.toUpperCase(),
      access: operation['x-access'] ?? ('signed in' as const),
    })),
  );
  for (const role of ['taster', 'barista', 'lead', 'admin'] as const) {
    shown.set(role, { cookie: await cookieOf(role) });
  }
  const endsOn = new Date(Date.now() + 86_400_000).toISOString().slice(0, 10);
  for (const right of ['read', 'record'] as const) {
    const made = await app.lead.post('/api/tokens').send({ name: right, right, endsOn }).expect(201);
    shown.set(`token: ${right}`, { authorization: `Bearer ${(made.body as NewTokenView).token}` });
  }
});
afterAll(() => app.close());

async function cookieOf(role: Role): Promise<string> {
  const account = DEMO_ACCOUNTS.find((each) => each.role === role)!;
  const answer = await fetch(`${app.url}/api/session`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ email: account.email, password: account.password }),
  });
  return sessionCookieIn(answer.headers.getSetCookie());
}

/** What the table says. */
function mayEnter({ access, method, path }: Operation, knocking: Knocking): boolean {
  if (access === 'everybody') return true;
  switch (knocking) {
    case 'nobody':
      return false;
    case 'taster':
      return access === 'taster' || access === 'all roles';
    case 'barista':
      return access !== 'lead' && access !== 'lead or admin';
    case 'admin':
      return access === 'all roles' || access === 'admin' || access === 'lead or admin';
    case 'lead':
      return true;
    case 'token: read':
      return method === 'GET';
    case 'token: record':
      return method === 'GET' || /^\/api\/(brews|running-brews)(\/|$)/.test(path);
  }
}

/** Its status; what would go on, as an export or a stream, is not waited for. */
async function knock({ method, path }: Operation, headers: Record<string, string>): Promise<number> {
  const answer = await fetch(`${app.url}${path.replaceAll(/\{\w+\}/g, '2147483000')}`, {
    method,
    headers: { ...headers, 'content-type': 'application/json' },
    ...(method === 'GET' ? {} : { body: '{}' }),
    redirect: 'manual',
  });
  await answer.body?.cancel();
  return answer.status;
}

describe('the doors of the API', () => {
  it('let in whom the table says, and nobody else, cell by cell', async () => {
    let cells = 0;
    const wrong: string[] = [];
    for (const operation of operations) {
      for (const knocking of KNOCKING) {
        // Whoever signs out is nobody from then on.
        if (operation.path === '/api/session' && operation.method === 'DELETE' && knocking !== 'nobody') {
          continue;
        }
        const status = await knock(operation, shown.get(knocking) ?? {});
        const refusal = knocking === 'nobody' ? 401 : 403;
        const isWell = mayEnter(operation, knocking)
          ? status < 500 && status !== 401 && status !== 403
          : status === refusal;
        cells += 1;
        if (!isWell) wrong.push(`${operation.method} ${operation.path} answered ${knocking} with ${status}`);
      }
    }
    expect(wrong).toEqual([]);
    expect(cells).toBe(operations.length * KNOCKING.length - 6);
    // Or the table would be of nothing.
    expect(cells).toBeGreaterThan(900);
  }, 120_000);

  it('stay shut but for what a code is set up with, where the lab asks for one that is not there', async () => {
    const { database } = app.configuration;
    await administer(
      app.configuration,
      `UPDATE ${database.name}.code_rules SET asked_of = 'makers', asked_from = NOW(3) - INTERVAL 1 MINUTE`,
    );
    const cookie = await cookieOf('lead');
    const wrong: string[] = [];
    for (const operation of operations) {
      if (operation.path === '/api/session') continue;
      const isOpen = operation.access === 'everybody' || operation.access === 'all roles';
      const status = await knock(operation, { cookie });
      if ((status === 401) === isOpen) wrong.push(`${operation.method} ${operation.path}: ${status}`);
    }
    expect(wrong).toEqual([]);
    // A guest has no phone here, and a program has none at all.
    const lots: Operation = { method: 'GET', path: '/api/lots', access: 'signed in' };
    const cups: Operation = { method: 'GET', path: '/api/cups', access: 'taster' };
    expect(await knock(lots, shown.get('token: read')!)).toBe(200);
    expect(await knock(cups, { cookie: await cookieOf('taster') })).toBe(200);
  });

  it('stand in docs/ACCESS.md as they are', () => {
    const file = join(import.meta.dirname, '..', '..', 'docs', 'ACCESS.md');
    const text = written();
    if (process.env['VENDU_WRITE_ACCESS']) writeFileSync(file, text);
    expect(readFileSync(file, 'utf8')).toBe(text);
  });
});

function written(): string {
  const rows = operations
    .toSorted((a, b) => (a.path < b.path ? -1 : a.path > b.path ? 1 : a.method < b.method ? -1 : 1))
    .map((operation) => [
      `${operation.method} ${operation.path}`,
      ...KNOCKING.map((knocking) => (mayEnter(operation, knocking) ? 'in' : '')),
    ]);
  const head = ['operation', ...KNOCKING];
  const widths = head.map((_, at) => Math.max(...[head, ...rows].map((row) => row[at]!.length)));
  const line = (cells: readonly string[]) =>
    `| ${cells.map((cell, at) => cell.padEnd(widths[at]!)).join(' | ')} |`;
  const count = (access: Operation['access']) => operations.filter((each) => each.access === access).length;
  return [
    '# Who may do what',
    '',
    `Every operation of the API: ${count('everybody')} are open to everybody, ${count('all roles')} to whoever is signed in, ${count('taster')} to guest tasters, baristas and leads, ${count('signed in')} to baristas and leads, ${count('admin')} to admins as well, ${count('lead')} to leads, ${count('lead or admin')} to leads and admins. A token lets its program in as far as its right goes, and no further than its person. \`server/test/access.integration.ts\` makes this table from the code and knocks at each door as each of these.`,
    '',
    line(head),
    `| ${widths.map((width) => '-'.repeat(width)).join(' | ')} |`,
    ...rows.map(line),
    '',
  ].join('\n');
}
