import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { addTallies, closing, NOTHING, playwrightTally, vitestTally } from './tally.js';

const folder = mkdtempSync(join(tmpdir(), 'vendu-tally-'));
afterAll(() => rmSync(folder, { recursive: true }));

function report(contents: object): string {
  const file = join(folder, `${Math.random()}.json`);
  writeFileSync(file, JSON.stringify(contents));
  return file;
}

const oneFailed = {
  numPassedTests: 10,
  testResults: [
    {
      name: 'a.test.ts',
      status: 'failed',
      assertionResults: [
        { status: 'passed', fullName: 'a cup is full' },
        { status: 'failed', fullName: 'a cup is empty' },
      ],
    },
  ],
};

const spec = (title: string, ...statuses: string[]) => ({
  title,
  file: 'lot.spec.ts',
  tests: statuses.map((status) => ({ status })),
});

describe('the closing lines', () => {
  it('name what failed, and end with the sum over all runners', () => {
    const unit = vitestTally('unit', report(oneFailed), 1);
    const e2e = playwrightTally(
      'e2e',
      report({
        stats: { expected: 4 },
        suites: [{ specs: [spec('opens', 'expected')], suites: [{ specs: [spec('closes', 'unexpected')] }] }],
      }),
      1,
    );
    expect(closing([unit, e2e].reduce(addTallies, NOTHING)).split('\n')).toEqual([
      'failed: unit: a.test.ts: a cup is empty',
      'failed: e2e: lot.spec.ts: closes',
      '14 passed, 2 failed',
    ]);
  });

  it('count a test that passed only on another try as failed', () => {
    const flaky = report({ stats: { expected: 4 }, suites: [{ specs: [spec('opens', 'flaky')] }] });
    expect(playwrightTally('e2e', flaky, 0)).toEqual({ passed: 4, failures: ['e2e: lot.spec.ts: opens'] });
  });

  it('name a file that does not load', () => {
    const broken = {
      numPassedTests: 0,
      testResults: [{ name: 'b.test.ts', status: 'failed', assertionResults: [] }],
    };
    expect(vitestTally('unit', report(broken), 1).failures).toEqual(['unit: b.test.ts as a whole']);
  });

  it('never call a runner that broke a success', () => {
    expect(vitestTally('unit', join(folder, 'none.json'), 1)).toEqual({
      passed: 0,
      failures: ['unit: ended with code 1 and no failed test'],
    });
    expect(vitestTally('unit', report({ numPassedTests: 3, testResults: [] }), 1)).toMatchObject({
      passed: 3,
      failures: [expect.any(String)],
    });
    expect(playwrightTally('e2e', join(folder, 'none.json'), undefined).failures).toEqual([
      'e2e: ended with code of a signal and no failed test',
    ]);
  });
});
