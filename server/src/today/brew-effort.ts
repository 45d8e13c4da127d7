import { planWaterG, tastedCaffeineMg, type BrewPlan, type TastingStage } from '@vendu/core';

/** What hands do before the first pour and after the last drip, min (assumed). */
const PREPARING_MIN = 4;
const WEIGHING_MIN = 1;
/** A lot without a recipe: as long as most brews drain (common practice: 2:05 to 3:00), of a usual dose. */
const USUAL = { drainS: 165, doseG: 16, waterG: 256 };
/** What a bed keeps of its water, g/g (common practice). */
const RETAINED = 2;
const ALL_STAGES: TastingStage[] = ['hot', 'warm', 'cool'];

/** How long a brew takes, and what a sip of it costs. */
export function effortOf(plan: BrewPlan | null, isDecaffeinated: boolean) {
  const doseG = plan?.doseG ?? USUAL.doseG;
  const waterG = plan ? planWaterG(plan) : USUAL.waterG;
  return {
    doseG,
    brewMin: PREPARING_MIN + Math.ceil((plan?.drawdownS ?? USUAL.drainS) / 60) + WEIGHING_MIN,
    stages: ALL_STAGES,
    sipMg: tastedCaffeineMg([
      { doseG, beverageG: waterG - RETAINED * doseG, isDecaffeinated, isSpat: false },
    ]),
  };
}
