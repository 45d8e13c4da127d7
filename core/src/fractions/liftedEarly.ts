import { outOfRange, type OutOfRange } from '../input/ranges.js';
import { planFaults } from '../plan/planFaults.js';
import { planWaterG, pourEndS, roundToTenth, type BrewPlan } from '../plan/plan.js';
import { failure, success, type Failure, type Result } from '../result.js';

/** What becomes of the water of pours that would begin after the cut. */
export const LATE_WATERS = ['left-out', 'poured-before'] as const;
export type LateWater = (typeof LATE_WATERS)[number];

/**
 * A plan whose brewer is lifted at a time, as the cups of a split brew ask for: pours that would begin after it are left
 * out, or their water goes into the pours before it, in their old proportion and with the bloom as it was.
 *
 * @param atS - when the brewer is lifted, 20 to 3600 s
 * @returns the plan, or why it cannot be: nothing pours before the cut but the bloom, the water is not in by then, or a
 *   regulator or the like asks for more time
 */
export function liftedEarly({
  plan,
  atS,
  lateWater,
}: {
  plan: BrewPlan;
  atS: number;
  lateWater: LateWater;
}): Result<BrewPlan, OutOfRange | Failure<'no-pour-before' | 'still-pouring' | 'cannot-be-brewed'>> {
  const fault = outOfRange('atS', atS, { low: 20, high: 3600, unit: 's' });
  if (fault) return fault;
  const kept = plan.pours.filter(({ startS }) => startS < atS);
  const mains = kept.filter(({ isBloom }) => !isBloom);
  if (mains.length === 0) {
    return failure('no-pour-before', 'Nothing is poured before that time but the bloom: lift it later.');
  }
  const missingG = lateWater === 'left-out' ? 0 : planWaterG(plan) - planWaterG({ pours: kept });
  const grown = (planWaterG({ pours: mains }) + missingG) / planWaterG({ pours: mains });
  let leftG = missingG;
  const pours = kept.map((pour) => {
    if (pour.isBloom) return pour;
    // The last of them takes what rounding leaves.
    const moreG = pour === mains.at(-1) ? leftG : Math.round(pour.amountG * (grown - 1));
    leftG = roundToTenth(leftG - moreG);
    return { ...pour, amountG: roundToTenth(pour.amountG + moreG) };
  });
  const inS = Math.max(...pours.map(pourEndS));
  if (inS >= atS) {
    return failure(
      'still-pouring',
      `The water is in at ${Math.ceil(inS)} s: lift it later, or pour it faster.`,
    );
  }
  const { ballUntilS, lidOpensS, ...rest } = plan;
  const lifted: BrewPlan = {
    ...rest,
    // What would happen after the cut does not happen.
    ...(ballUntilS === undefined || ballUntilS >= atS ? {} : { ballUntilS }),
    ...(lidOpensS !== undefined && pours.some(({ startS }) => startS > lidOpensS) ? { lidOpensS } : {}),
    pours,
    drawdownS: Math.round(atS),
    lifts: true,
  };
  const [amiss] = planFaults({ plan: lifted });
  return amiss ? failure('cannot-be-brewed', amiss.message) : success(lifted);
}
