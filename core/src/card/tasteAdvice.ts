import { planAllWaterG, type BrewPlan } from '../plan/plan.js';

/** What a customer may change who tastes something amiss: one thing, in the figures of this recipe. */
export interface TasteAdvice {
  taste: string;
  change: string;
}

/** A taste too strong or too weak is moved by this share of the water (assumed: about 0.1 % TDS). */
const WATER_SHARE = 0.07;
/** Far enough from the plan to be the grinder and not the hand, as a share of the drain time (common practice, share assumed). */
const DRAIN_SHARE = 0.2;

/**
 * First changes by taste and by the clock. Directions: common practice - sour is under-extracted, bitter and dry
 * over-extracted, both at once uneven; strength follows the water where the taste is right.
 */
export function tasteAdvice(plan: BrewPlan): TasteAdvice[] {
  const waterG = Math.max(5, Math.round((planAllWaterG(plan) * WATER_SHARE) / 5) * 5);
  const hasBloom = plan.pours.some(({ isBloom }) => isBloom);
  return [
    { taste: 'sour, thin', change: 'Grind a little finer.' },
    { taste: 'bitter, dry', change: 'Grind a little coarser.' },
    {
      taste: 'sour and bitter',
      change: hasBloom
        ? 'Wet all grounds in the bloom and keep the bed level.'
        : 'Pour over the whole bed and keep it level.',
    },
    { taste: 'right, but too strong', change: `Add ${waterG} g of hot water to the cup.` },
    { taste: 'right, but too weak', change: lessWater(plan, waterG) },
  ];
}

function lessWater({ bypassG = 0, pours }: BrewPlan, lessG: number): string {
  if (bypassG > 0)
    return `Add ${Math.max(0, bypassG - lessG)} g of water afterwards instead of ${bypassG} g.`;
  const totalG = pours.reduce((sum, { amountG }) => sum + amountG, 0);
  return `End the last pour at ${Math.round(totalG - lessG)} g instead of ${Math.round(totalG)} g.`;
}

/** Drain times that speak of the grinder, s: earlier asks for finer, later for coarser. A lifted brewer tells nothing. */
export function drainAdviceS({
  drawdownS,
  lifts = false,
}: BrewPlan): { earlyS: number; lateS: number } | null {
  if (lifts) return null;
  const toFive = (seconds: number) => Math.round(seconds / 5) * 5;
  return { earlyS: toFive(drawdownS * (1 - DRAIN_SHARE)), lateS: toFive(drawdownS * (1 + DRAIN_SHARE)) };
}
