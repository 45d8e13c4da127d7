import { EventEmitter } from 'node:events';
import type { Request, Response } from 'express';
import type { Sequelize } from 'sequelize-typescript';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { PATIENCE } from '../database/connection.js';
import { ProblemError } from '../problem/problem-error.js';
import { Congestion } from './congestion.js';

const pool = { waiting: 0 };
let congestion: Congestion;
beforeEach(() => {
  vi.useFakeTimers();
  pool.waiting = 0;
  congestion = new Congestion({ connectionManager: { pool } } as unknown as Sequelize, {
    patience: PATIENCE,
  });
});
afterEach(() => {
  congestion.onModuleDestroy();
  vi.useRealTimers();
});

/** A request, and what became of it: let in, or the reason why not. */
function asks(path: string) {
  const response = new EventEmitter();
  const next = vi.fn();
  void congestion.shedding({ path } as Request, response as unknown as Response, next);
  return { refused: next.mock.calls[0]?.[0] as unknown, isAnswered: () => response.emit('close') };
}
const isLetIn = (path: string) => asks(path).refused === undefined;

describe('a database that has too much to do', () => {
  it('lets everybody in as long as nobody has waited long', () => {
    pool.waiting = 40;
    vi.advanceTimersByTime(1000);
    expect(Array.from({ length: 30 }, () => isLetIn('/lots')).every(Boolean)).toBe(true);
    pool.waiting = 0;
    vi.advanceTimersByTime(400);
    pool.waiting = 40;
    vi.advanceTimersByTime(1000);
    expect(isLetIn('/lots')).toBe(true);
  });

  it('then refuses a part that has requests under way, and no other', () => {
    const first = Array.from({ length: 3 }, () => asks('/lots/7'));
    pool.waiting = 1;
    vi.advanceTimersByTime(2000);
    const { refused } = asks('/lots');
    expect(refused).toBeInstanceOf(ProblemError);
    expect(refused).toMatchObject({ kind: 'unavailable' });
    expect(isLetIn('/kit')).toBe(true);
    // One is answered: one more may come.
    first[0]!.isAnswered();
    expect([isLetIn('/lots'), isLetIn('/lots')]).toEqual([true, false]);
    pool.waiting = 0;
    vi.advanceTimersByTime(200);
    expect(isLetIn('/lots')).toBe(true);
  });
});
