import type { OutOfRange } from '../input/ranges.js';
import { planFaults } from '../plan/planFaults.js';
import { byTheClock, planWaterG, roundToTenth, type BrewPlan, type Pour } from '../plan/plan.js';
import { failure, success, type Failure, type Result } from '../result.js';
import { moveWater } from './keepWanted.js';
import { liftedEarly, type LateWater } from './liftedEarly.js';

/** What the cups of a split brew ask of the next plan. */
export interface Recut {
  /** The brewer is lifted then, s; `null` to leave the end as it is. */
  liftAtS: number | null;
  /** What becomes of pours that would begin after it. */
  lateWater: LateWater;
  /** So much of all water is poured by pours that start before a time; `null` to leave it. */
  early: { share: number; beforeS: number } | null;
  /** The bloom goes: its water with the pour after it, from the start. */
  dropsBloom: boolean;
}

type RecutFailure =
  | OutOfRange
  | Failure<'no-pour-before'>
  | Failure<'no-pour-after'>
  | Failure<'bloom-is-more'>
  | Failure<'still-pouring'>
  | Failure<'cannot-be-brewed'>;

/**
 * A plan as the cups of a split brew ask for it: first the bloom goes, then water is moved before a time, then the brewer
 * is lifted. Times are those of the plan without its bloom, where that goes.
 */
export function recut({ plan, cut }: { plan: BrewPlan; cut: Recut }): Result<BrewPlan, RecutFailure> {
  const { liftAtS, lateWater, early, dropsBloom } = cut;
  // The next brew is to be whole: only so is the cut tasted.
  const { cups: _, ...whole } = plan;
  const bare = dropsBloom ? withoutBloom(whole) : success(whole);
  if (!bare.ok) return bare;
  const moved = early ? moveWater({ plan: bare.value, ...early }) : bare;
  if (!moved.ok) return moved;
  const lifted = liftAtS === null ? moved : liftedEarly({ plan: moved.value, atS: liftAtS, lateWater });
  if (!lifted.ok) return lifted;
  const [amiss] = planFaults({ plan: lifted.value });
  return amiss ? failure('cannot-be-brewed', amiss.message) : lifted;
}

/** The pour after the bloom begins at once and takes its water; all that follows comes as much sooner. */
function withoutBloom(plan: BrewPlan): Result<BrewPlan, Failure<'no-pour-after'>> {
  const bloomG = planWaterG({ pours: plan.pours.filter(({ isBloom }) => isBloom) });
  const [first, ...rest] = plan.pours.filter(({ isBloom }) => !isBloom);
  if (bloomG === 0) return success(plan);
  if (!first) return failure('no-pour-after', 'There is no pour after the bloom to take its water.');
  const soonerS = first.startS;
  const sooner = (pour: Pour): Pour => ({ ...pour, startS: pour.startS - soonerS });
  const { ballUntilS, lidOpensS, ...as } = plan;
  return success({
    ...as,
    // What was over before the first pour is not there any more.
    ...(ballUntilS !== undefined && ballUntilS > soonerS ? { ballUntilS: ballUntilS - soonerS } : {}),
    ...(lidOpensS !== undefined && lidOpensS > soonerS ? { lidOpensS: lidOpensS - soonerS } : {}),
    pours: [
      { ...byTheClock(first), startS: 0, amountG: roundToTenth(first.amountG + bloomG) },
      ...rest.map(sooner),
    ],
    drawdownS: plan.drawdownS - soonerS,
  });
}
