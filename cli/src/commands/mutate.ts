import { mkdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { execa } from 'execa';
import type { MutatedFolder } from '../arguments.js';
import { ROOT } from '../paths.js';
import { step, CommandFailure } from '../report.js';
import { mutationTally, survivorsOf, type MutationReport } from '../mutationReport.js';

const FOLDER = join(ROOT, '.vendu', 'mutate');
/** What each folder must reach, in per cent. */
const LEAST_SCORE = 80;

/**
 * Changes one thing at a time in folders of core and runs the tests on each: a change that no test notices survives. Only
 * what changed since the last time is tried again.
 */
export async function mutate({ folders }: { folders: readonly MutatedFolder[] }): Promise<void> {
  mkdirSync(FOLDER, { recursive: true });
  const scores: string[] = [];
  let isBelow = false;
  for (const folder of folders) {
    const report = await step(`changing core/src/${folder}, one thing at a time`, () => mutated(folder));
    const { killed, survived, scorePercent } = mutationTally(report);
    for (const survivor of survivorsOf(report)) console.log(`  ${survivor}`);
    scores.push(
      `${folder.padEnd(16)} ${scorePercent.toFixed(0).padStart(3)} %  ${killed} noticed, ${survived} not`,
    );
    if (scorePercent < LEAST_SCORE) isBelow = true;
  }
  console.log(`\n${scores.join('\n')}`);
  if (isBelow) throw new CommandFailure(`A folder is below ${LEAST_SCORE} %.`);
}

async function mutated(folder: MutatedFolder): Promise<MutationReport> {
  // What was found is the file from which the next run goes on.
  const report = join(FOLDER, `${folder}.json`);
  const done = await execa(
    'stryker',
    [
      'run',
      'stryker.config.json',
      '--mutate',
      `src/${folder}/**/*.ts,!src/**/*.test.ts`,
      '--incrementalFile',
      report,
    ],
    {
      cwd: join(ROOT, 'core'),
      preferLocal: true,
      localDir: ROOT,
      stdin: 'ignore',
      all: true,
      reject: false,
    },
  );
  if (done.failed) {
    console.error(done.all);
    throw new CommandFailure(`The changes of core/src/${folder} could not be tried.`);
  }
  return JSON.parse(readFileSync(report, 'utf8')) as MutationReport;
}
