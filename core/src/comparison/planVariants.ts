import { withGrind } from '../plan/grinding.js';
import { planFaults } from '../plan/planFaults.js';
import { roundToTenth, type BrewPlan } from '../plan/plan.js';
import type { ComparedAxis } from '../vocabulary.js';

/** The same plan with one thing changed, to be held against it. */
export interface PlanVariant {
  axis: ComparedAxis;
  /** What it is called: `40 µm finer`. */
  words: string;
  plan: BrewPlan;
}

/** Steps that a cup shows and a recipe still bears (common practice). */
const GRIND_STEP_UM = 40;
const KETTLE_STEP_C = 2;
/** No kettle is set above it. */
const HOTTEST_C = 100;

/** What is often asked of a plan: each as it would be brewed; what cannot be brewed is left out. */
export function planVariants(plan: BrewPlan): PlanVariant[] {
  const variants: (PlanVariant | null)[] = [
    {
      axis: 'grind',
      words: `${GRIND_STEP_UM} µm finer`,
      plan: withGrind(plan, plan.grindUm - GRIND_STEP_UM),
    },
    {
      axis: 'grind',
      words: `${GRIND_STEP_UM} µm coarser`,
      plan: withGrind(plan, plan.grindUm + GRIND_STEP_UM),
    },
    { axis: 'temperature', words: `${KETTLE_STEP_C} °C hotter`, plan: heated(plan, KETTLE_STEP_C) },
    { axis: 'temperature', words: `${KETTLE_STEP_C} °C cooler`, plan: heated(plan, -KETTLE_STEP_C) },
    bloomless(plan),
    untouched(plan),
  ];
  return variants.flatMap((variant) =>
    variant && variant.plan.kettleC <= HOTTEST_C && planFaults({ plan: variant.plan }).length === 0
      ? [variant]
      : [],
  );
}

function heated(plan: BrewPlan, byC: number): BrewPlan {
  return {
    ...plan,
    kettleC: plan.kettleC + byC,
    pours: plan.pours.map((pour) =>
      pour.kettleC === undefined ? pour : { ...pour, kettleC: pour.kettleC + byC },
    ),
  };
}

/** The water of the bloom goes into the pour after it, which begins the brew. */
function bloomless(plan: BrewPlan): PlanVariant | null {
  const [bloom, second, ...rest] = plan.pours;
  if (!bloom?.isBloom || !second) return null;
  const first = { ...second, startS: 0, amountG: roundToTenth(bloom.amountG + second.amountG) };
  // A pour that waits for something waits for nothing at the start.
  delete first.startsWhen;
  delete first.levelMm;
  return { axis: 'bloom', words: 'without bloom', plan: { ...plan, pours: [first, ...rest] } };
}

function untouched(plan: BrewPlan): PlanVariant | null {
  if (plan.pours.every(({ agitation }) => agitation === 'none')) return null;
  const pours = plan.pours.map(({ agitationHow: _, ...pour }) => ({ ...pour, agitation: 'none' as const }));
  return { axis: 'agitation', words: 'not agitated', plan: { ...plan, pours } };
}
