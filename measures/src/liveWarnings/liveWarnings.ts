import { availableParallelism } from 'node:os';
import { Piscina } from 'piscina';
import { TRUTHS } from '../brewsToTarget/brewsToTarget.js';
import { fixed, percentile, table } from '../report.js';
import { EYE_S, LOOKS_AFTER_S, OUTFLOW_EVERY_S, WATCHED_BY, type Watched, type WatchTask } from './watch.js';

const ORDINARY = 250;
const STALLS = 50;
/** A brew that drains in this share more or less than planned is off its plan; a word in any other is a false alarm. */
const OFF_PLAN = 0.2;
/** Brews that a thread is given at once. */
const PART = 10;

/** How early a stall is told and how often a word is said wrongly: by the clock, by what an eye sees, and by a scale under the server. */
export async function liveWarnings(progress: (line: string) => void): Promise<string> {
  const pool = new Piscina({
    filename: new URL('./worker.js', import.meta.url).href,
    maxThreads: availableParallelism(),
  });
  const watched = async (count: number, kind: Omit<WatchTask, 'seed'>) => {
    const tasks = Array.from({ length: count }, (_, seed): WatchTask => ({ ...kind, seed }));
    const parts = Array.from({ length: Math.ceil(count / PART) }, (_, part) =>
      tasks.slice(part * PART, (part + 1) * PART),
    );
    return (await Promise.all(parts.map((part) => pool.run(part) as Promise<Watched[]>))).flat();
  };
  const settings = TRUTHS.flatMap(({ truth }) =>
    [0, 3].flatMap((brews) => WATCHED_BY.map((by) => ({ truth, brews, by }))),
  );
  const rows: string[][] = [];
  for (const { truth, brews, by } of settings) {
    const ordinary = await watched(ORDINARY, { truth, brews, by, isStall: false });
    const stalls = await watched(STALLS, { truth, brews, by, isStall: true });
    progress(`${truth}, ${brews} brews known, ${by}`);
    const wrong = ordinary.filter(
      ({ first, drainedS, plannedS }) => first !== null && Math.abs(drainedS / plannedS - 1) < OFF_PLAN,
    );
    const told = stalls.flatMap(({ first, plannedS }) =>
      first && (first.outlook === 'late' || first.outlook === 'stall') ? [first.atS / plannedS] : [],
    );
    rows.push([
      truth === 'varied' ? 'the model’s equations' : 'layers',
      brews === 0 ? 'never brewed' : `${brews} brews known`,
      by,
      `${fixed((wrong.length / ORDINARY) * 100, 1)} %`,
      `${fixed((told.filter((share) => share < 0.6).length / STALLS) * 100, 0)} %`,
      `${fixed((told.filter((share) => share < 1).length / STALLS) * 100, 0)} %`,
      told.length === 0 ? 'never' : `${fixed(percentile(told, 0.5) * 100, 0)} % of the plan`,
    ]);
  }
  await pool.destroy();
  return [
    '## Warnings while a brew runs',
    '',
    `${ORDINARY} ordinary brews and ${STALLS} that drain in twice the planned time, of synthetic lots and hands as above. The plan's drain time is the forecast's before the brew. The eye says when the bed shows (${EYE_S.mean} ± ${EYE_S.sd} s late) and, ${LOOKS_AFTER_S.slice(0, 3).join(', ')} ... s after each pour but the bloom, that water still stands. The scale under the server is asked every ${OUTFLOW_EVERY_S} s. A word in a brew that drains within ${OFF_PLAN * 100} % of its plan is a false alarm.`,
    '',
    table(
      [
        'truth',
        'lot',
        'watched by',
        'false alarms',
        'stall told before 60 % of the plan',
        'before the plan is over',
        'median',
      ],
      rows,
    ),
  ].join('\n');
}
