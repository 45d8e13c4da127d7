import { BREW_MODEL } from '../brewModel/constants.js';
import type { BrewModelInput, LotFactors } from '../brewModel/types.js';
import { isAlwaysAgitated, modelledAgitation } from '../plan/agitating.js';
import { grindOfPlan } from '../plan/grinding.js';
import { pouredAtC } from '../plan/openLid.js';
import { pourEndS, type BrewPlan, type Pour } from '../plan/plan.js';
import { modelledPattern } from '../plan/pouringWords.js';

/** A brew but for what its lot is like: recipe, kit and room, and the age of the roast. */
export type BrewConditions = Omit<BrewModelInput, 'lot'> & { roastAgeDays?: number };

/** What a plan is brewed with and where. */
export interface BrewKit {
  brewer: BrewModelInput['brewer'];
  /** Resistance of the wet paper, 1/m. */
  paperPerM: number;
  ambientC: number;
  elevationM: number;
}

/** What is learned of a lot, as factors around 1. Effective numbers of the model, no properties of the coffee. */
export interface LearnedFactors {
  solubility: number;
  rate: number;
  /** Resistance to flow: clogs the paper faster and packs the bed tighter. */
  flow: number;
  retained: number;
  /** How much more, or less, strength follows the grind than the model has it; 1 as the model does. */
  steepness: number;
}
export const FACTORS = [
  'solubility',
  'rate',
  'flow',
  'retained',
  'steepness',
] as const satisfies readonly (keyof LearnedFactors)[];

/** Gas at roasting, mg/g, and the age of an unknown roast, days (assumed). */
const CO2_MG_PER_G = 7;
const UNKNOWN_AGE_DAYS = 14;

export function lotFactorsOf(
  { solubility, rate, flow, retained }: Omit<LearnedFactors, 'steepness'>,
  roastAgeDays: number = UNKNOWN_AGE_DAYS,
): LotFactors {
  return {
    solubility,
    rate,
    permeability: 1 / flow,
    clogging: flow,
    retained,
    co2MgPerG: CO2_MG_PER_G,
    ageDays: roastAgeDays,
  };
}

/** A steel ball out of the freezer (assumed): mass, specific heat, temperature. */
const CHILLED_BALL = { massG: 150, heatJPerKgK: 500, startC: -15 };

/** From a shower plate water falls in drops, all over the bed, from as high as from a regulator (assumed). */
const RAIN = { pattern: 'spiral', fallM: BREW_MODEL.regulatorFallM } as const;

function fallOf({ pattern, heightCm }: Pick<Pour, 'pattern' | 'heightCm'>) {
  return {
    ...(pattern === undefined ? {} : { pattern: modelledPattern(pattern) }),
    ...(heightCm === undefined ? {} : { fallM: heightCm / 100 }),
  };
}

/** A plan as the model brews it: agitation at the end of its pour, and none that is left open. */
export function conditionsOfPlan({
  plan,
  kit,
  roastAgeDays,
}: {
  plan: BrewPlan;
  kit: BrewKit;
  roastAgeDays?: number;
}): BrewConditions {
  const kettlesC = pouredAtC(plan, kit.ambientC);
  return {
    ...kit,
    doseG: plan.doseG,
    grind: grindOfPlan(plan),
    kettleC: plan.kettleC,
    pours: plan.pours.map(({ startS, amountG, flowGps, pattern, heightCm }, index) => ({
      startS,
      amountG,
      flowGps,
      ...(kettlesC[index] === plan.kettleC ? {} : { kettleC: kettlesC[index] ?? plan.kettleC }),
      ...(plan.showerPlate ? RAIN : fallOf({ pattern, heightCm })),
    })),
    agitation: plan.pours.flatMap((pour) =>
      isAlwaysAgitated(pour) ? [{ atS: pourEndS(pour), kind: modelledAgitation(pour.agitation) }] : [],
    ),
    ...(plan.regulatorGps === undefined ? {} : { regulatorGps: plan.regulatorGps }),
    ...(plan.lifts ? { liftAtS: plan.drawdownS } : {}),
    ...(plan.bypassG ? { bypassG: plan.bypassG } : {}),
    ...(plan.ballUntilS ? { chilledBall: { ...CHILLED_BALL, untilS: plan.ballUntilS } } : {}),
    ...(roastAgeDays === undefined ? {} : { roastAgeDays }),
  };
}

/** Median of a grind, um; of a blend the geometric mean of its parts. */
export function medianUm({ grind }: Pick<BrewConditions, 'grind'>): number {
  if (!('parts' in grind)) return grind.d50Um;
  const shares = grind.parts.reduce((sum, { share }) => sum + share, 0);
  return Math.exp(
    grind.parts.reduce((sum, part) => sum + (part.share / shares) * Math.log(part.grind.d50Um), 0),
  );
}
