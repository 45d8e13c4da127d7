import { existsSync, readFileSync } from 'node:fs';

export interface Tally {
  passed: number;
  /** What failed, by name. */
  failures: readonly string[];
}

export const NOTHING: Tally = { passed: 0, failures: [] };

export function addTallies(a: Tally, b: Tally): Tally {
  return { passed: a.passed + b.passed, failures: [...a.failures, ...b.failures] };
}

/** What failed, each on a line of its own, and last the sum: whoever reads only the end of a long run finds both. */
export function closing({ passed, failures }: Tally): string {
  return [...failures.map((name) => `failed: ${name}`), `${passed} passed, ${failures.length} failed`].join(
    '\n',
  );
}

interface VitestReport {
  numPassedTests: number;
  testResults: {
    name: string;
    status: string;
    assertionResults: { status: string; fullName: string }[];
  }[];
}

export function vitestTally(suite: string, report: string, exitCode: number | undefined): Tally {
  const { numPassedTests, testResults } = (read(report) as VitestReport | null) ?? {
    numPassedTests: 0,
    testResults: [],
  };
  const failures = testResults.flatMap(({ name: file, status, assertionResults }) => {
    const failed = assertionResults.filter((test) => test.status === 'failed');
    if (failed.length === 0 && status === 'failed') return [`${suite}: ${file} as a whole`];
    return failed.map((test) => `${suite}: ${file}: ${test.fullName}`);
  });
  return honest(suite, { passed: numPassedTests, failures }, exitCode);
}

interface PlaywrightSuite {
  specs: { file: string; title: string; tests: { status: string }[] }[];
  suites?: PlaywrightSuite[];
}

interface PlaywrightReport {
  stats: { expected: number };
  suites: PlaywrightSuite[];
}

export function playwrightTally(suite: string, report: string, exitCode: number | undefined): Tally {
  const { stats, suites } = (read(report) as PlaywrightReport | null) ?? {
    stats: { expected: 0 },
    suites: [],
  };
  const failures = specsIn(suites)
    .filter(({ tests }) => tests.some(({ status }) => status === 'unexpected' || status === 'flaky'))
    .map(({ file, title }) => `${suite}: ${file}: ${title}`);
  return honest(suite, { passed: stats.expected, failures }, exitCode);
}

function specsIn(suites: readonly PlaywrightSuite[]): PlaywrightSuite['specs'] {
  return suites.flatMap((suite) => [...suite.specs, ...specsIn(suite.suites ?? [])]);
}

/** A runner that failed without a failed test (an error outside of any, no test at all) still failed. */
function honest(suite: string, tally: Tally, exitCode: number | undefined): Tally {
  return exitCode !== 0 && tally.failures.length === 0
    ? { ...tally, failures: [`${suite}: ended with code ${exitCode ?? 'of a signal'} and no failed test`] }
    : tally;
}

function read(file: string): unknown {
  return existsSync(file) ? (JSON.parse(readFileSync(file, 'utf8')) as unknown) : null;
}
