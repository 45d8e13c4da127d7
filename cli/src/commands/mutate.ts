import { mkdirSync, readdirSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { execa } from 'execa';
import type { MutatedFolder } from '../arguments.js';
import { ROOT } from '../paths.js';
import { step, CommandFailure } from '../report.js';
import {
  mutationTally,
  SURVIVOR_KINDS,
  sumOf,
  survivorKinds,
  survivorsOf,
  type MutationReport,
  type SurvivorKind,
} from '../mutationReport.js';

const CORE = join(ROOT, 'core');
const FOLDER = join(ROOT, '.vendu', 'mutate');
/** What each folder must reach, in per cent. */
const LEAST_SCORE = 80;

/**
 * Changes one thing at a time in folders of core and runs the tests on each: a change that no test notices survives. File by
 * file: one that was done is not tried again until it or its tests change, so that a run may be broken off and gone on with.
 */
export async function mutate({
  folders,
  byOwnTests,
}: {
  folders: readonly MutatedFolder[];
  /** Tried by the tests of the folder alone: sooner, and what it notices the others notice too. */
  byOwnTests: boolean;
}): Promise<void> {
  const scores: string[] = [];
  let isBelow = false;
  for (const folder of folders) {
    const reports: MutationReport[] = [];
    for (const file of filesOf(folder)) {
      const report = await step(`changing ${file}, one thing at a time`, () =>
        mutated(file, byOwnTests ? `src/${folder}/**/*.test.ts` : null),
      );
      for (const survivor of survivorsOf(report)) console.log(`  ${survivor}`);
      reports.push(report);
    }
    const { killed, survived, scorePercent } = sumOf(reports.map(mutationTally));
    scores.push(
      `${folder.padEnd(16)} ${scorePercent.toFixed(0).padStart(3)} %  ${killed} noticed, ${survived} not: ${kindsOf(reports)}`,
    );
    if (scorePercent < LEAST_SCORE) isBelow = true;
  }
  console.log(`\n${scores.join('\n')}`);
  if (isBelow) throw new CommandFailure(`A folder is below ${LEAST_SCORE} %.`);
}

function kindsOf(reports: readonly MutationReport[]): string {
  const counts = reports.map(survivorKinds);
  return (Object.keys(SURVIVOR_KINDS) as SurvivorKind[])
    .map((kind) => `${counts.reduce((sum, count) => sum + count[kind], 0)} ${SURVIVOR_KINDS[kind]}`)
    .join(', ');
}

function filesOf(folder: MutatedFolder): string[] {
  return readdirSync(join(CORE, 'src', folder), { recursive: true, encoding: 'utf8' })
    .filter((file) => file.endsWith('.ts') && !file.endsWith('.test.ts'))
    .map((file) => join('src', folder, file))
    .sort();
}

/** @param tests - which are run on each change; `null` for all of core */
async function mutated(file: string, tests: string | null): Promise<MutationReport> {
  // What was found is the file from which the next run goes on.
  const report = join(FOLDER, tests === null ? '' : 'own', `${file}.json`);
  mkdirSync(dirname(report), { recursive: true });
  const done = await execa(
    'stryker',
    ['run', 'stryker.config.json', '--mutate', file, '--incrementalFile', report],
    {
      cwd: CORE,
      preferLocal: true,
      localDir: ROOT,
      env: tests === null ? {} : { VENDU_MUTATION_TESTS: tests },
      stdin: 'ignore',
      all: true,
      reject: false,
    },
  );
  if (done.failed) {
    console.error(done.all);
    throw new CommandFailure(`The changes of ${file} could not be tried.`);
  }
  return JSON.parse(readFileSync(report, 'utf8')) as MutationReport;
}
