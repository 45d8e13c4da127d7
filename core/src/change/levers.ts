import { withAgitation } from '../plan/agitating.js';
import { withGrind } from '../plan/grinding.js';
import { planFaults } from '../plan/planFaults.js';
import { planRatio, planWaterG, pouredForRatioG, pourEndS, type BrewPlan } from '../plan/plan.js';
import { setWater } from '../plan/editPours.js';

/** What a change may move. */
export const LEVERS = ['grind', 'ratio', 'kettle', 'bloom', 'pours', 'agitation'] as const;
export type Lever = (typeof LEVERS)[number];

/** What grinder, kettle, brewer and altitude can do. */
export interface Limits {
  finestUm: number;
  coarsestUm: number;
  /** Boiling point, or what the kettle holds, whichever is lower. */
  hottestC: number;
  coolestC: number;
}

/** Grinds below this are out of the model's reach: the yield's maximum rests on an assumed shape. */
const FINEST_MODELLED_UM = 450;

interface LeverMoves {
  /** Smallest step worth making by hand. */
  step: number;
  /** A step a colleague would call one step: used to weigh a change by its size. */
  usual: number;
  valueIn: (plan: BrewPlan) => number;
  reach: (plan: BrewPlan, limits: Limits) => { low: number; high: number };
  /** The plan with the lever at a value; `null` where that cannot be poured. */
  set: (plan: BrewPlan, value: number) => BrewPlan | null;
}

export const MOVES: Record<Lever, LeverMoves> = {
  grind: {
    step: 10,
    usual: 50,
    valueIn: ({ grindUm }) => grindUm,
    reach({ grindUm, secondGrind }, { finestUm, coarsestUm }) {
      // A second grind moves along, and has to be reached as well.
      const by = (secondGrind?.grindUm ?? grindUm) / grindUm;
      const finest = finestUm / Math.min(1, by);
      return {
        low: Math.max(finest, Math.min(grindUm, Math.max(FINEST_MODELLED_UM, grindUm - 250))),
        high: Math.min(coarsestUm / Math.max(1, by), grindUm + 250),
      };
    },
    set: withGrind,
  },
  ratio: {
    step: 0.1,
    usual: 0.5,
    valueIn: (plan) => Math.round(planRatio(plan) * 10) / 10,
    reach: () => ({ low: 13.5, high: 18.5 }),
    set(plan, ratio) {
      const pours = setWater({ pours: plan.pours, waterG: pouredForRatioG(plan, ratio) });
      return pours.ok ? { ...plan, pours: pours.value } : null;
    },
  },
  kettle: {
    step: 1,
    usual: 2,
    valueIn: ({ kettleC }) => kettleC,
    reach: (_, { coolestC, hottestC }) => ({
      low: Math.max(84, Math.ceil(coolestC)),
      high: Math.min(98, Math.floor(hottestC)),
    }),
    set: (plan, kettleC) => ({ ...plan, kettleC }),
  },
  bloom: {
    step: 5,
    usual: 10,
    valueIn: ({ pours }) => pours[1]?.startS ?? 0,
    reach: ({ pours }) => (pours[0]?.isBloom && pours[1] ? { low: 20, high: 70 } : { low: 0, high: 0 }),
    set: ({ pours, ...plan }, startS) => ({
      ...plan,
      pours: pours.map((pour, index) =>
        index === 0 ? pour : { ...pour, startS: pour.startS + startS - (pours[1]?.startS ?? 0) },
      ),
    }),
  },
  pours: {
    step: 1,
    usual: 1,
    valueIn: ({ pours }) => pours.filter(({ isBloom }) => !isBloom).length,
    reach: () => ({ low: 1, high: 5 }),
    set: withMainPours,
  },
  agitation: {
    step: 1,
    usual: 1,
    valueIn: ({ pours }) => pours.filter(({ agitation }) => agitation !== 'none').length,
    reach: ({ pours }) => ({ low: 0, high: pours.length }),
    set: withAgitations,
  },
};

/** A plan with one lever at a value, or `null` where it cannot be brewed so. */
export function withLever(plan: BrewPlan, lever: Lever, value: number): BrewPlan | null {
  const changed = MOVES[lever].set(plan, value);
  if (!changed) return null;
  const lastEndS = Math.max(...changed.pours.map(pourEndS));
  // The plan's own drawdown follows the forecast later; here only the pours must fit.
  const timed = { ...changed, drawdownS: Math.max(changed.drawdownS, lastEndS + 10) };
  return planFaults({ plan: timed }).length === 0 ? timed : null;
}

/** The water after the bloom in so many equal pours at the pace of the plan. */
function withMainPours(plan: BrewPlan, count: number): BrewPlan | null {
  const blooms = plan.pours.filter(({ isBloom }) => isBloom);
  const main = plan.pours.filter(({ isBloom }) => !isBloom);
  const [first, last] = [main[0], main.at(-1)];
  if (!first || !last) return null;
  const waterG = planWaterG({ pours: main });
  const amountG = Math.round(waterG / count);
  const gapS = main.length > 1 ? (last.startS - first.startS) / (main.length - 1) : 35;
  const everyS = Math.max(gapS, Math.ceil((amountG / first.flowGps + 5) / 5) * 5);
  return {
    ...plan,
    pours: [
      ...blooms,
      ...Array.from({ length: count }, (_, index) => ({
        ...(main[index] ?? withAgitation(last, 'none')),
        startS: Math.round(first.startS + index * everyS),
        amountG: index === count - 1 ? Math.round((waterG - amountG * (count - 1)) * 10) / 10 : amountG,
      })),
    ],
  };
}

/** So many agitated pours: swirls come after the bloom first, then after the last pour, then between. */
function withAgitations(plan: BrewPlan, count: number): BrewPlan {
  const last = plan.pours.length - 1;
  const order = [...new Set([0, last, ...plan.pours.keys()])];
  const agitated = order
    .sort((a, b) => Number(plan.pours[b]?.agitation !== 'none') - Number(plan.pours[a]?.agitation !== 'none'))
    .slice(0, count);
  return {
    ...plan,
    pours: plan.pours.map((pour, index) =>
      withAgitation(
        pour,
        !agitated.includes(index) ? 'none' : pour.agitation === 'none' ? 'swirl' : pour.agitation,
      ),
    ),
  };
}
