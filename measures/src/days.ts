import { mean, quantile } from 'simple-statistics';
import {
  followWindows,
  planDay,
  seededRandom,
  type DayCrew,
  type DayInput,
  type DayJob,
  type DayPlan,
  type TastingStage,
} from '@vendu/core';
import { table } from './report.js';

const DAYS = 200;
const SEED = 200;
const OPENS_MIN = 9 * 60;
const CLOSES_MIN = 19 * 60;
const LONG_DAY = 20;
const WINDOWS = followWindows({ roomC: 21 });

/** Invented days: three to nine brews, one to three people, one or two kettles, some brews due in the morning. */
function inventedDay(random: () => number): DayInput {
  const between = (low: number, high: number) => low + Math.floor(random() * (high - low + 1));
  const jobs = Array.from({ length: between(3, 9) }, (_, index): DayJob => {
    const stages: TastingStage[] = random() < 0.7 ? ['hot', 'warm', 'cool'] : ['warm'];
    const dueMin = random() < 0.3 ? OPENS_MIN + between(15, 180) : null;
    return { id: String(index), brewMin: between(7, 13), dueMin, stages, sipMg: between(10, 25) };
  });
  return {
    jobs,
    afters: [],
    crew: crewOf(between(1, 3), between(1, 2)),
    nowMin: OPENS_MIN,
    windows: WINDOWS,
  };
}

function crewOf(people: number, kettles: number): DayCrew {
  return {
    kettles,
    people: Array.from({ length: people }, (_, index) => ({
      name: `person ${index + 1}`,
      fromMin: OPENS_MIN,
      toMin: CLOSES_MIN,
      caffeineMg: 0,
    })),
  };
}

/** Each brew tasted to its end before the next begins, as they came in. */
function oneAfterAnother(day: DayInput): { endMin: number; lateMin: number } {
  let [nowMin, lateMin] = [day.nowMin, 0];
  for (const job of day.jobs) {
    const plan = planDay({ ...day, nowMin, jobs: [job] });
    nowMin = plan.endMin;
    lateMin += plan.lateMin;
  }
  return { endMin: nowMin, lateMin };
}

/** The plan of the bench against the order in which brews came in, over invented days. */
export function days(): string {
  const random = seededRandom(SEED);
  const invented = Array.from({ length: DAYS }, () => inventedDay(random));
  const asTheyCame = (day: DayInput) =>
    planDay(
      day,
      day.jobs.map(({ id }) => id),
    );
  const plans = invented.map((day) => planDay(day));
  const came = invented.map(asTheyCame);
  const single = invented.map(oneAfterAnother);
  const most = (found: readonly DayPlan[]) =>
    mean(found.map(({ caffeineMg }) => Math.max(...caffeineMg))).toFixed(0);
  const row = (name: string, found: readonly { endMin: number; lateMin: number }[], mg: string) => [
    name,
    mean(found.map(({ endMin }) => endMin - OPENS_MIN)).toFixed(0),
    mean(found.map(({ lateMin }) => lateMin)).toFixed(1),
    mg,
  ];
  const long: DayInput = {
    ...inventedDay(random),
    crew: crewOf(2, 2),
    jobs: Array.from({ length: LONG_DAY }, (_, index) => ({
      id: String(index),
      brewMin: 7 + (index % 5),
      dueMin: index % 4 === 0 ? OPENS_MIN + 60 : null,
      stages: ['hot', 'warm', 'cool'],
      sipMg: 20,
    })),
  };
  const times = Array.from({ length: 9 }, () => {
    const from = performance.now();
    planDay(long);
    return performance.now() - from;
  });
  return [
    `## The plan of the bench\n\n${DAYS} invented days of 3 to 9 brews, 1 to 3 people, 1 or 2 kettles.\n`,
    table(
      ['', 'minutes until all is tasted', 'minutes late, summed', 'most caffeine of one person, mg'],
      [
        row('one after another', single, '–'),
        row('interleaved, as they came in', came, most(came)),
        row('planned', plans, most(plans)),
      ],
    ),
    `\nA day of ${LONG_DAY} brews is planned in ${quantile(times, 0.5).toFixed(0)} ms (median of ${times.length}).`,
  ].join('\n');
}
