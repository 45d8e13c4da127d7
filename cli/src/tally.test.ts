import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { addTallies, closingLine, NOTHING, playwrightTally, vitestTally } from './tally.js';

const folder = mkdtempSync(join(tmpdir(), 'vendu-tally-'));
afterAll(() => rmSync(folder, { recursive: true }));

function report(contents: object): string {
  const file = join(folder, `${Math.random()}.json`);
  writeFileSync(file, JSON.stringify(contents));
  return file;
}

describe('the closing line', () => {
  it('sums over all runners', () => {
    const unit = vitestTally(report({ numPassedTests: 10, numFailedTests: 0 }), 0);
    const e2e = playwrightTally(report({ stats: { expected: 4, unexpected: 1, flaky: 0 } }), 1);
    expect(closingLine([unit, e2e].reduce(addTallies, NOTHING))).toBe('14 passed, 1 failed');
  });

  it('counts a test that passed only on another try as failed', () => {
    expect(playwrightTally(report({ stats: { expected: 4, unexpected: 0, flaky: 2 } }), 0)).toEqual({
      passed: 4,
      failed: 2,
    });
  });

  it('never calls a runner that broke a success', () => {
    expect(vitestTally(join(folder, 'none.json'), 1)).toEqual({ passed: 0, failed: 1 });
    expect(vitestTally(report({ numPassedTests: 3, numFailedTests: 0 }), 1)).toEqual({
      passed: 3,
      failed: 1,
    });
    expect(playwrightTally(join(folder, 'none.json'), undefined)).toEqual({ passed: 0, failed: 1 });
  });
});
