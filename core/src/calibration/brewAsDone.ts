import { finesTaken } from '../bench/finesTaken.js';
import { grindOfPlan } from '../plan/grinding.js';
import { addedAgitation, kettleReadsC, type BenchEvent } from '../bench/benchEvents.js';
import type { PreparationTask } from '../bench/preparation.js';
import { addedWaterG } from '../bench/serving.js';
import { planAgainstActual, type StepDone } from '../bench/planAgainstActual.js';
import { withKettlesRead } from '../plan/openLid.js';
import { asDone, withAgitation } from '../plan/agitating.js';
import type { BrewPlan, Pour } from '../plan/plan.js';
import { conditionsOfPlan, type BrewConditions, type BrewKit } from './conditions.js';

/** In what a brew may depart from its plan, in the order in which one is looked at after the other. */
export const DEPARTURES = [
  'preparation',
  'dose',
  'totals',
  'times',
  'agitation',
  'kettle',
  'serving',
] as const;
export type Departure = (typeof DEPARTURES)[number];

/** What was done, as far as it was written down. */
export interface BrewDone {
  plan: BrewPlan;
  steps: readonly StepDone[];
  events: readonly BenchEvent[];
  doseG: number;
  roastAgeDays: number;
}

/** Least a pour can have been, g, where what the scale showed would make it nothing. */
const SMALLEST_POUR_G = 1;

/**
 * A brew with the pours as they were done, where that was marked: without what was left out of its preparation
 * and its agitation, with what was added, and with the water as hot as it was read.
 *
 * @param only - the departures to follow; in all else the brew is the plan
 */
export function brewAsDone(
  { plan, steps, events, doseG, roastAgeDays }: BrewDone,
  kit: BrewKit,
  only: readonly Departure[] = DEPARTURES,
): BrewConditions {
  const follows = (departure: Departure) => only.includes(departure);
  const compared = planAgainstActual({ plan, done: steps });
  const rows = plan.pours.map((_, index) =>
    compared.find(({ step }) => step.kind === 'pour' && step.pourNumber === index + 1),
  );
  const readsC = kettleReadsC(
    events,
    rows.map((row) => row?.doneS ?? null),
  );
  let beforeG = 0;
  const pours = plan.pours.map((pour, index): Pour => {
    const agitated = compared.find(({ step }) => step.kind === 'agitate' && step.pourNumber === index + 1);
    const doneTotalG = follows('totals') ? rows[index]?.doneTotalG : null;
    const amountG = Math.max(SMALLEST_POUR_G, (doneTotalG ?? beforeG + pour.amountG) - beforeG);
    beforeG += amountG;
    const wasAgitated = follows('agitation') && agitated?.doneS != null;
    const wasLeft = follows('agitation') && agitated?.skipped === true;
    return {
      ...(wasAgitated ? asDone(pour) : wasLeft ? withAgitation(pour, 'none') : pour),
      startS: (follows('times') ? rows[index]?.doneS : null) ?? pour.startS,
      amountG,
    };
  });
  const prepared = follows('preparation') ? asPrepared(plan, events) : plan;
  const brewed = { ...prepared, doseG: follows('dose') ? doseG : plan.doseG, pours };
  const heated = follows('kettle') ? withKettlesRead(brewed, readsC, kit.ambientC) : brewed;
  const fines = follows('preparation') ? finesTaken({ plan, events }) : null;
  const conditions = {
    ...conditionsOfPlan({ plan: heated, kit, roastAgeDays }),
    ...(follows('serving') && plan.bypassG ? { bypassG: addedWaterG({ plan, events }) } : {}),
    ...(fines?.basis === 'as-weighed' ? { grind: grindOfPlan(heated, fines.finesG) } : {}),
  };
  const added = follows('agitation') ? addedAgitation(events) : [];
  return {
    ...conditions,
    agitation: [...conditions.agitation, ...added].sort((a, b) => a.atS - b.atS),
  };
}

/** What a brew goes without where its preparation was left out. */
const WITHOUT: Partial<Record<PreparationTask, (plan: BrewPlan) => BrewPlan>> = {
  'second-grind': ({ secondGrind: _, ...plan }) => plan,
  sieve: ({ sieveUm: _, ...plan }) => plan,
  'chill-ball': ({ ballUntilS: _, ...plan }) => plan,
  regulator: ({ regulatorGps: _, ...plan }) => plan,
  'shower-plate': ({ showerPlate: _, ...plan }) => plan,
};

/** The plan as far as it was prepared; what only a hand can spoil, as a bed not shaken flat, no model feels. */
function asPrepared(plan: BrewPlan, events: readonly BenchEvent[]): BrewPlan {
  return events.reduce(
    (made, event) => (event.kind === 'not-prepared' ? (WITHOUT[event.task]?.(made) ?? made) : made),
    plan,
  );
}
