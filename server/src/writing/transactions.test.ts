import { DatabaseError } from 'sequelize';
import type { Sequelize } from 'sequelize-typescript';
import { describe, expect, it } from 'vitest';
import { ProblemError } from '../problem/problem-error.js';
import { inTransaction, untilFree } from './transactions.js';

const driverError = (said: object) =>
  new DatabaseError(Object.assign(new Error('driver'), { sql: '', ...said }));
const deadlock = () => driverError({ errno: 1213 });

/** Stands in for the database: does the work, and then what its commit does. */
function database(commit: () => void): Sequelize {
  const transaction = async (_: unknown, work: () => Promise<unknown>) => {
    const result = await work();
    commit();
    return result;
  };
  return { transaction } as unknown as Sequelize;
}
const kindOf = async (work: Promise<unknown>) => {
  try {
    await work;
  } catch (error) {
    return error instanceof ProblemError ? error.kind : error;
  }
  return 'stored';
};

describe('work in one transaction', () => {
  it('is begun again where others hold what it needs', async () => {
    let tries = 0;
    const stored = await untilFree(() => {
      tries += 1;
      return tries < 3 ? Promise.reject(deadlock()) : Promise.resolve('stored');
    });
    expect([stored, tries]).toEqual(['stored', 3]);
  });

  it('is begun again where it is a statement beside the one that was undone that tells of it', async () => {
    // As Sequelize has it of every statement after a deadlock.
    const after = new Error('rollback has been called on this transaction(1f0c), you can no longer use it.');
    let tries = 0;
    const stored = await untilFree(() => {
      tries += 1;
      return tries < 2 ? Promise.reject(after) : Promise.resolve('stored');
    });
    expect([stored, tries]).toEqual(['stored', 2]);
  });

  it('is given up as busy, with nothing stored, where they never let go', async () => {
    expect(await kindOf(untilFree(() => Promise.reject(deadlock())))).toBe('busy');
  });

  it('is not begun again for any other fault', async () => {
    let tries = 0;
    const fault = new TypeError('ours');
    const work = untilFree(() => {
      tries += 1;
      return Promise.reject(fault);
    });
    expect(await kindOf(work)).toBe(fault);
    expect(tries).toBe(1);
  });

  it('is begun again where another node of a cluster stored something in its way while it was being stored', async () => {
    let commits = 0;
    const refusesFirst = database(() => {
      commits += 1;
      if (commits === 1) throw deadlock();
    });
    expect(await kindOf(inTransaction(refusesFirst, () => Promise.resolve('stored')))).toBe('stored');
    expect(commits).toBe(2);
  });

  it('says that there is no room, and that nothing was stored, where the disk is full', async () => {
    const full = inTransaction(
      database(() => undefined),
      () => Promise.reject(driverError({ errno: 1114 })),
    );
    await expect(full).rejects.toMatchObject({
      kind: 'full',
      message: expect.stringMatching(/nothing was stored/) as string,
    });
  });

  it('is not known to be stored where the database goes away at the very end', async () => {
    const gone = database(() => {
      throw driverError({ errno: 45009, fatal: true });
    });
    expect(await kindOf(inTransaction(gone, () => Promise.resolve(1)))).toBe('unknown-outcome');
  });

  it('is known not to be where it goes away before', async () => {
    const fault = driverError({ errno: 45009, fatal: true });
    const work = inTransaction(
      database(() => undefined),
      () => Promise.reject(fault),
    );
    expect(await kindOf(work)).toBe(fault);
  });
});
