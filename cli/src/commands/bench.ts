import { join } from 'node:path';
import { execa } from 'execa';
import type { Measure } from '../arguments.js';
import { buildMeasures } from '../build.js';
import { ROOT } from '../paths.js';
import { CommandFailure } from '../report.js';

/** Prints the measures as they come; they are figures to read, not tests to pass. */
export async function bench({ measures }: { measures: readonly Measure[] }): Promise<void> {
  await buildMeasures();
  const done = await execa(process.execPath, [join(ROOT, 'measures/dist/main.js'), ...measures], {
    cwd: ROOT,
    stdio: 'inherit',
    reject: false,
  });
  if (done.failed) throw new CommandFailure('The measures did not finish.');
}
