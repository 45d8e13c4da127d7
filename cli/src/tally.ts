import { existsSync, readFileSync } from 'node:fs';

export interface Tally {
  passed: number;
  failed: number;
}

export const NOTHING: Tally = { passed: 0, failed: 0 };

export function addTallies(a: Tally, b: Tally): Tally {
  return { passed: a.passed + b.passed, failed: a.failed + b.failed };
}

export function closingLine({ passed, failed }: Tally): string {
  return `${passed} passed, ${failed} failed`;
}

interface VitestReport {
  numPassedTests: number;
  numFailedTests: number;
}

export function vitestTally(report: string, exitCode: number | undefined): Tally {
  const { numPassedTests, numFailedTests } = (read(report) as VitestReport | null) ?? {
    numPassedTests: 0,
    numFailedTests: 0,
  };
  return honest({ passed: numPassedTests, failed: numFailedTests }, exitCode);
}

interface PlaywrightReport {
  stats: { expected: number; unexpected: number; flaky: number };
}

export function playwrightTally(report: string, exitCode: number | undefined): Tally {
  const stats = (read(report) as PlaywrightReport | null)?.stats ?? { expected: 0, unexpected: 0, flaky: 0 };
  return honest({ passed: stats.expected, failed: stats.unexpected + stats.flaky }, exitCode);
}

/** A runner that failed without a failed test (a file that does not load, no test at all) still failed. */
function honest(tally: Tally, exitCode: number | undefined): Tally {
  return exitCode !== 0 && tally.failed === 0 ? { ...tally, failed: 1 } : tally;
}

function read(file: string): unknown {
  return existsSync(file) ? (JSON.parse(readFileSync(file, 'utf8')) as unknown) : null;
}
