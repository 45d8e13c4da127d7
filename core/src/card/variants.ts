import { calibrateLot } from '../calibration/calibrateLot.js';
import { conditionsOfPlan, type BrewKit, type LearnedFactors } from '../calibration/conditions.js';
import { forecastBrew, type Expected } from '../calibration/forecastBrew.js';
import { asItWaits } from '../forecast/asItWaits.js';
import { withGrind } from '../plan/grinding.js';
import { planWaterG, type BrewPlan } from '../plan/plan.js';
import { planFaults } from '../plan/planFaults.js';
import { setWater } from '../plan/editPours.js';

const VARIANTS = ['brighter', 'rounder', 'stronger'] as const;
export type Variant = (typeof VARIANTS)[number];

/** A change that a customer may like: what to do, and what the model expects of that cup. */
export interface CardVariant {
  variant: Variant;
  /** Of the plan: coarser above 0, um. */
  grindByUm: number;
  waterByG: number;
  tdsPercent: Expected;
  yieldPercent: Expected;
  drawdownS: Expected;
}

/** What a card takes out of the model, from the brews of its recipe. */
export interface CardModel {
  factors: LearnedFactors;
  variants: CardVariant[];
}

/** A step that is tasted and not yet another recipe, um (common practice: coarser is brighter, finer rounder; size assumed). */
const GRIND_STEP_UM = 40;
/** Less water by such a share is a stronger cup (assumed). */
const WATER_SHARE = 0.07;

/**
 * What the brews of a recipe say for its card: the lot's factors, and three changes with the cup that is then to be
 * expected. A change that cannot be brewed is left out.
 *
 * @returns `null` where the brews cannot be learned from
 */
export function cardModel({
  plan,
  kit,
  brews,
}: {
  plan: BrewPlan;
  kit: BrewKit;
} & Pick<Parameters<typeof calibrateLot>[0], 'brews'>): CardModel | null {
  const calibrated = calibrateLot({ brews });
  if (!calibrated.ok) return null;
  const calibration = calibrated.value;
  const { factors } = calibration;
  const variants = VARIANTS.flatMap((variant): CardVariant[] => {
    const changed = changedTo(plan, variant);
    if (changed === null || planFaults({ plan: changed }).length > 0) return [];
    const timed = asItWaits({ plan: changed, kit, factors });
    const found = forecastBrew({ calibration, brew: conditionsOfPlan({ plan: timed, kit }) });
    if (!found.ok) return [];
    const { tdsPercent, yieldPercent, drawdownS } = found.value;
    return [
      {
        variant,
        grindByUm: changed.grindUm - plan.grindUm,
        waterByG: planWaterG(changed) - planWaterG(plan),
        tdsPercent,
        yieldPercent,
        drawdownS,
      },
    ];
  });
  return { factors, variants };
}

function changedTo(plan: BrewPlan, variant: Variant): BrewPlan | null {
  switch (variant) {
    case 'brighter':
      return withGrind(plan, plan.grindUm + GRIND_STEP_UM);
    case 'rounder':
      return withGrind(plan, plan.grindUm - GRIND_STEP_UM);
    case 'stronger': {
      const waterG = Math.round((planWaterG(plan) * (1 - WATER_SHARE)) / 5) * 5;
      const edited = setWater({ pours: plan.pours, waterG });
      return edited.ok ? { ...plan, pours: edited.value } : null;
    }
  }
}
