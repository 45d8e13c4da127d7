import { BadRequestException, NotFoundException } from '@nestjs/common';
import {
  ConnectionRefusedError,
  DatabaseError,
  ForeignKeyConstraintError,
  OptimisticLockError,
  UniqueConstraintError,
} from 'sequelize';
import { describe, expect, it } from 'vitest';
import { PROBLEM_KINDS } from '@vendu/contract';
import { classify, PROBLEMS } from './classify.js';
import { IdPipe } from './id.pipe.js';
import { invalidField, notFound, ProblemError } from './problem-error.js';

describe('anything thrown becomes one of the problems', () => {
  const parserError = (status: number) => Object.assign(new Error('parser'), { status });
  const driverError = (said: object) =>
    new DatabaseError(Object.assign(new Error('driver'), { sql: '', ...said }));

  it.each<[string, unknown, string]>([
    ['an expected failure', new ProblemError('stale', 'x'), 'stale'],
    ['a route that is none', new NotFoundException(), 'not-found'],
    ['a bad request of the framework', new BadRequestException(), 'not-json'],
    ['a body the parser could not read', parserError(400), 'not-json'],
    ['a body too large', parserError(413), 'too-large'],
    ['a duplicate', new UniqueConstraintError({}), 'conflict'],
    ['a reference to nothing', new ForeignKeyConstraintError({}), 'conflict'],
    ['two people at once', new OptimisticLockError({}), 'stale'],
    ['a database that is gone', new ConnectionRefusedError(new Error('gone')), 'unavailable'],
    ['a database that went in the middle', driverError({ errno: 45009, fatal: true }), 'unavailable'],
    ['a database that is being ended', driverError({ errno: 1053 }), 'unavailable'],
    ['a node that has lost its cluster', driverError({ errno: 1047 }), 'unavailable'],
    ['a deadlock', driverError({ errno: 1213 }), 'busy'],
    ['a lock waited for too long', driverError({ errno: 1205 }), 'busy'],
    ['a table that has no room to grow', driverError({ errno: 1114 }), 'full'],
    [
      'a disk without room, in the engine’s words',
      driverError({
        errno: 1030,
        message: 'Got error 28 "No space left on device" from storage engine InnoDB',
      }),
      'full',
    ],
    [
      'another fault of the engine',
      driverError({ errno: 1030, message: 'Got error 128 from storage engine' }),
      'defect',
    ],
    ['a figure that no column holds', driverError({ errno: 1264 }), 'invalid-input'],
    ['a word that no column holds', driverError({ errno: 1265 }), 'invalid-input'],
    ['a range that a file does not have', parserError(416), 'not-readable'],
    ['a condition that is not met', parserError(412), 'not-readable'],
    ['a fault of ours', new TypeError('undefined is not a function'), 'defect'],
    ['something that is no error at all', 'oops', 'defect'],
  ])('%s', (_, thrown, kind) => {
    expect(classify(thrown).kind).toBe(kind);
  });

  it('that says that nothing was stored only where it is known', () => {
    const unknown = [new TypeError('x'), new ConnectionRefusedError(new Error('gone')), 'oops'];
    for (const thrown of unknown) expect(classify(thrown).detail).not.toMatch(/nothing was stored/i);
  });

  it('never lets the words of a fault out', () => {
    expect(classify(new Error('password is hunter2')).detail).not.toContain('hunter2');
  });

  it('each with a status that fits HTTP', () => {
    for (const kind of PROBLEM_KINDS) {
      expect(PROBLEMS[kind].status).toBeGreaterThanOrEqual(400);
      expect(PROBLEMS[kind].status).toBeLessThan(600);
    }
  });
});

describe('helpers for services', () => {
  it('name the thing and the field', () => {
    expect(notFound('lot').detail).toContain('no such lot');
    expect(invalidField({ field: 'doseG', message: 'Too much.' })).toMatchObject({
      kind: 'invalid-input',
      detail: 'Too much.',
      errors: [{ field: 'doseG' }],
    });
  });
});

describe('an id in an address', () => {
  const read = (text: string) => new IdPipe().transform(text, { type: 'param', data: 'lotId' });

  it('is a whole number from 1', () => {
    expect(read('12')).toBe(12);
  });

  it.each(['0', '-1', '1.5', 'abc', '', '1e3', '99999999999', '2147483648', '1 OR 1=1'])(
    '%j is no lot',
    (text) => {
      expect(() => read(text)).toThrow('There is no such lot');
    },
  );
});
