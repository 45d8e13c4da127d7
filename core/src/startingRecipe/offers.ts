import { isLongFermented } from '../lot/fermentation.js';
import { isOfProcess } from '../lot/process.js';
import { planWaterG, type BrewPlan } from '../plan/plan.js';
import { staircase } from '../plan/staircase.js';
import { FIGURE_LIMITS } from './figures.js';
import { isHighGrown, type StartingFacts } from './facts.js';

/** What some do with such a lot and others do not: offered beside the starting recipe, and taken by a person. */
export const OFFERS = ['hot-first', 'chilled-first'] as const;
export type OfferId = (typeof OFFERS)[number];

export interface Offer {
  id: OfferId;
  /** What is done, and why with such a lot. */
  what: string;
  because: string;
  isTaken: boolean;
}

interface OfferRule {
  id: OfferId;
  what: string;
  because: string;
  applies: (facts: StartingFacts, plan: BrewPlan) => boolean;
  made: (plan: BrewPlan, kettle: { boilingC: number; stepC: number }) => BrewPlan;
}

/** A hot beginning lies this much above the rest, C (common practice: near boiling before 90 to 92). */
const HOTTER_C = 5;
/** More of the water over a chilled ball cools the cup and flattens it (common practice: 20 to 30 % at most). */
const CHILLED_SHARE = 0.25;

const OFFER_RULES: readonly OfferRule[] = [
  {
    id: 'hot-first',
    what: 'The first pour hot, the rest cool',
    because: 'long or closed fermentation: what is wanted comes out early, what is not needs heat late',
    applies: (facts, { pours }) => isLongFermented(facts.process) && pours.length > 1,
    made: (plan, { boilingC, stepC }) => {
      const hottestC = Math.min(plan.kettleC + HOTTER_C, FIGURE_LIMITS.kettleC.high, Math.floor(boilingC));
      const firstC = Math.floor(hottestC / stepC) * stepC;
      return {
        ...plan,
        kettleC: firstC,
        pours: plan.pours.map((pour, index) => (index === 1 ? { ...pour, kettleC: plan.kettleC } : pour)),
      };
    },
  },
  {
    id: 'chilled-first',
    what: 'The first quarter over a chilled ball',
    because: 'grown high and washed: the chill keeps its aroma',
    applies: (facts) => isOfProcess(facts, 'washed') && isHighGrown(facts),
    made: (plan) => ({ ...plan, ballUntilS: chilledUntilS(plan) }),
  },
];

/** When a quarter of the water is in, s. */
function chilledUntilS(plan: BrewPlan): number {
  const wantedG = planWaterG(plan) * CHILLED_SHARE;
  const points = staircase({ pours: plan.pours, endS: plan.drawdownS });
  const after = points.findIndex(({ totalG }) => totalG >= wantedG);
  const [from, to] = [points[after - 1], points[after]];
  if (!from || !to) return Math.round(plan.drawdownS / 4);
  const share = (wantedG - from.totalG) / (to.totalG - from.totalG);
  return Math.round(from.atS + share * (to.atS - from.atS));
}

/** A plan with the offers that were taken, and all that are made of such a lot. */
export function withOffers(
  plan: BrewPlan,
  facts: StartingFacts,
  { taken, boilingC }: { taken: readonly OfferId[]; boilingC: number },
): { plan: BrewPlan; offers: Offer[] } {
  const made = OFFER_RULES.filter(({ applies }) => applies(facts, plan));
  return {
    plan: made
      .filter(({ id }) => taken.includes(id))
      .reduce((so, { made: change }) => change(so, { boilingC, stepC: facts.kettleStepC ?? 1 }), plan),
    offers: made.map(({ id, what, because }) => ({ id, what, because, isTaken: taken.includes(id) })),
  };
}
