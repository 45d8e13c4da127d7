import { describe, expect, it } from 'vitest';
import type { OperationsView } from '@vendu/contract';
import { clockWords, sizeWords, troublesOf } from './operationsWords';

const NOW = '2026-12-01T10:00:00.000Z';
const IN_ORDER: OperationsView = {
  version: '0.1.0',
  node: 'v20.19.0',
  server: null,
  startedAt: '2026-11-30T06:00:00.000Z',
  now: NOW,
  schema: { step: '0039-hours-of-people', pending: 0 },
  database: {
    version: '11.8',
    bytes: 40e6,
    largest: [],
    aheadMs: 12,
    freeBytes: 80e9,
    isFull: false,
    nodes: null,
  },
  copies: { count: 14, newest: { at: '2026-12-01T02:00:00.000Z', bytes: 9e6 }, freeBytes: 80e9 },
  requests: { answered: 900, refused: 12, failed: 0, medianMs: 6, p95Ms: 40 },
  slow: [],
  webhooks: { waiting: 1, givenUp: 0 },
  care: { at: NOW, isFaulty: false },
  traces: { bytes: 3e6, keptDays: null },
};
const troubles = (changed: Partial<OperationsView>, browser = NOW) =>
  troublesOf({ ...IN_ORDER, ...changed }, new Date(browser));

describe('what somebody has to see to', () => {
  it('is nothing where all is in order', () => {
    expect(troubles({})).toEqual([]);
    expect(troubles({ copies: null })).toEqual([]);
  });

  it('is a copy that is missing, old, or has no room', () => {
    const copies = IN_ORDER.copies!;
    expect(troubles({ copies: { ...copies, newest: null } })).toEqual([
      'No copy of the database yet: run ./vendu backup.',
    ]);
    const old = { at: '2026-11-28T09:00:00.000Z', bytes: 9e6 };
    expect(troubles({ copies: { ...copies, newest: old } })[0]).toMatch(/^The newest copy is 3 days old/);
    expect(troubles({ copies: { ...copies, freeBytes: 100e6 } })).toEqual([
      '100 MB are free where copies go: make room.',
    ]);
  });

  it('is a disk that fills up, and one that is full', () => {
    const { database } = IN_ORDER;
    expect(troubles({ database: { ...database, freeBytes: 900e6 } })).toEqual([
      '900 MB are free where the database lies: make room before it is full.',
    ]);
    expect(troubles({ database: { ...database, freeBytes: 0, isFull: true } })).toEqual([
      'The disk of the database is full: pages are shown and nothing is saved. Make room.',
    ]);
    expect(troubles({ database: { ...database, freeBytes: null } })).toEqual([]);
  });

  it('is a node that is away from its cluster', () => {
    const { database } = IN_ORDER;
    expect(troubles({ database: { ...database, nodes: { running: 2, of: 3 } } })).toEqual([
      'The database runs on 2 of 3 nodes: look at why the others are away before another goes.',
    ]);
    expect(troubles({ database: { ...database, nodes: { running: 3, of: 3 } } })).toEqual([]);
  });

  it('is a clock that goes wrong, the database’s or this device’s', () => {
    const database = { ...IN_ORDER.database, aheadMs: -3_600_000 };
    expect(troubles({ database })[0]).toMatch(/^The database’s clock is 3600.0 s behind/);
    expect(troubles({}, '2026-12-01T10:01:00.000Z')).toEqual([
      'This device’s clock is 60.0 s ahead of the server’s: set it.',
    ]);
  });

  it('is what failed, was given up, or was not taken', () => {
    const { requests, schema } = IN_ORDER;
    expect(troubles({ requests: { ...requests, failed: 2 } })[0]).toMatch(/^2 of 900 requests failed/);
    expect(troubles({ webhooks: { waiting: 0, givenUp: 3 } })[0]).toMatch(/^3 messages to other programs/);
    expect(troubles({ schema: { ...schema, pending: 1 } })).toHaveLength(1);
    expect(troubles({ care: { at: null, isFaulty: true } })).toHaveLength(1);
  });
});

it('sizes and clocks are said as people say them', () => {
  expect([0, 900, 1500, 12e6, 2.5e9].map(sizeWords)).toEqual(['0 B', '900 B', '1.5 kB', '12 MB', '2.5 GB']);
  expect([40, 1500, -2000].map(clockWords)).toEqual(['alike', '1.5 s ahead', '2.0 s behind']);
});
