import { seededRandom } from '../random/seededRandom.js';
import { CAFFEINE_GUIDANCE_MG } from '../tasting/caffeine.js';
import {
  followsOf,
  type DayAfter,
  type DayCrew,
  type DayFollow,
  type DayJob,
  type FollowWindow,
} from './dayJob.js';
import { waiting, type DayTask, type Waiting } from './followUps.js';
import { Settled } from './settled.js';

/** A day at the bench. */
export interface DayPlan {
  /** In the order of their start. */
  tasks: DayTask[];
  /** The brews in the order in which they begin. */
  order: string[];
  /** What did not fit into the hours of those who are in. */
  left: string[];
  /** What follows a brew that ran through and finds no free hands in its time. */
  missed: { id: string; follow: DayFollow }[];
  /** When the last thing is done, minute of the day. */
  endMin: number;
  /** By how many minutes brews end late, summed. */
  lateMin: number;
  /** Of each person by the end of the day, mg. */
  caffeineMg: number[];
}

export interface DayInput {
  jobs: readonly DayJob[];
  /** Brews that ran through today and are not tasted to the end. */
  afters: readonly DayAfter[];
  crew: DayCrew;
  /** The present: nothing begins before it. */
  nowMin: number;
  windows: Record<DayFollow, FollowWindow>;
}

/** Orders that are tried: fewer of a long day, so that a plan is there at once; more gain little (see the benchmark). */
const TRIES = { most: 120, fewest: 24, forBrews: 800 };
const SEED = 18;
/** What a brew that does not fit, a minute late and a milligram over the guidance weigh against a minute of the day (assumed). */
const WEIGHTS = { left: 600, late: 4, overMg: 1 };

/**
 * Orders and interleaves the brews of a day: while one cools the next is made, within the hands, kettles and hours that
 * there are. Orders are tried by swapping and moving, from the one by due times on, and the best kept; the same day
 * gives the same plan.
 *
 * @param order - brews in an order that somebody set: it is kept, and only the times are worked out
 */
export function planDay(input: DayInput, order: readonly string[] | null = null): DayPlan {
  const { jobs } = input;
  if (order !== null) return placed(input, inOrder(jobs, order));
  const byDue = [...jobs].sort((a, b) => (a.dueMin ?? Infinity) - (b.dueMin ?? Infinity));
  let best = placed(input, byDue);
  if (jobs.length < 2 || input.crew.people.length === 0) return best;
  let sequence = byDue;
  const random = seededRandom(SEED);
  const pick = () => Math.floor(random() * jobs.length);
  const tries = Math.min(TRIES.most, Math.max(TRIES.fewest, Math.round(TRIES.forBrews / jobs.length)));
  for (let attempt = 0; attempt < tries; attempt++) {
    const next = [...sequence];
    const [from, to] = [pick(), pick()];
    const [moved] = next.splice(from, 1);
    if (moved) next.splice(to, 0, moved);
    const plan = placed(input, next);
    if (costOf(plan, input) >= costOf(best, input)) continue;
    best = plan;
    sequence = next;
  }
  return best;
}

/** Brews that the order does not name come after it. */
function inOrder(jobs: readonly DayJob[], order: readonly string[]): DayJob[] {
  const place = (id: string) => {
    const index = order.indexOf(id);
    return index < 0 ? order.length : index;
  };
  return [...jobs].sort((a, b) => place(a.id) - place(b.id));
}

/** What it costs, in minutes. */
export function costOf(
  { endMin, lateMin, left, missed, caffeineMg }: DayPlan,
  { nowMin }: Pick<DayInput, 'nowMin'>,
): number {
  const overMg = caffeineMg.reduce((sum, mg) => sum + Math.max(0, mg - CAFFEINE_GUIDANCE_MG.inADay), 0);
  return (
    endMin -
    nowMin +
    WEIGHTS.late * lateMin +
    WEIGHTS.left * (left.length + missed.length) +
    WEIGHTS.overMg * overMg
  );
}

/**
 * Each brew in its turn as early as a pair of hands and a kettle are free, and as all that follows it and the brews before
 * it still finds its time; what follows is given out anew each time, so that it moves aside for a brew where it can.
 */
function placed({ afters, crew, nowMin, windows }: DayInput, sequence: readonly DayJob[]): DayPlan {
  const day = new Settled(crew, Math.ceil(nowMin));
  let all: Waiting[] = afters.flatMap(({ id, drainedMin, left, sipMg }) =>
    left.map((follow) => waiting(id, drainedMin, follow, windows[follow], { sipMg, isStanding: true })),
  );
  let found = day.giveOut(null, all) ?? { tasks: [], missed: [], caffeineMg: [] };
  const { missed } = found;
  all = all.filter((each) => !missed.includes(each));
  const order: string[] = [];
  const left: string[] = [];
  let lateMin = 0;
  for (const { id, brewMin, stages, sipMg, dueMin } of sequence) {
    const fitted = day.earliest(brewMin, (startMin, person) => {
      const endMin = startMin + brewMin;
      const brew: DayTask = { jobId: id, task: 'brew', startMin, endMin, person };
      const own = followsOf(stages).map((follow) =>
        waiting(id, endMin, follow, windows[follow], { sipMg, isStanding: false }),
      );
      const given = day.giveOut(brew, [...all, ...own]);
      // A cup that stands is not let go for a new one.
      return given === null || given.missed.length > 0 ? null : { brew, own, given };
    });
    if (fitted === null) {
      left.push(id);
      continue;
    }
    order.push(id);
    found = fitted.given;
    all = day.settle(fitted.brew, [...all, ...fitted.own], found.tasks);
    if (dueMin !== null) lateMin += Math.max(0, fitted.brew.endMin - dueMin);
  }
  const tasks = [...day.tasks, ...found.tasks.filter((task) => !day.tasks.includes(task))].sort(
    (a, b) => a.startMin - b.startMin || a.person - b.person,
  );
  return {
    tasks,
    order,
    left,
    missed: missed.map(({ jobId, follow }) => ({ id: jobId, follow })),
    endMin: Math.max(nowMin, ...tasks.map(({ endMin }) => endMin)),
    lateMin,
    caffeineMg: found.caffeineMg,
  };
}
