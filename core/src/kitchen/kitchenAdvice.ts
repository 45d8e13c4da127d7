import type { BrewInputFailure } from '../brewModel/checkBrew.js';
import { conditionsOfPlan, type BrewKit, type LearnedFactors } from '../calibration/conditions.js';
import { conditionsFault } from '../calibration/evidence.js';
import { modelledBrew } from '../calibration/modelled.js';
import { brewAsItWaits } from '../forecast/asItWaits.js';
import { ORDINARY_ERRORS } from '../forgiveness/handErrors.js';
import { grinderCurve, sizeAt } from '../grind/grinderCurve.js';
import { grindEquivalent, type GrindEquivalent, type MeasuredGrinder } from '../grind/grindEquivalent.js';
import { firstOutOfRange, type OutOfRange, type Range } from '../input/ranges.js';
import { withGrind } from '../plan/grinding.js';
import type { BrewPlan } from '../plan/plan.js';
import { failure, success, type Failure, type Result } from '../result.js';
import type { KitchenTaste } from './kitchenTaste.js';
import { NINE_OF_TEN } from '../statistics/nineOfTen.js';
import { normalCdf } from '../statistics/normalCdf.js';

/** What the next brew at home does otherwise. */
export type KitchenAdvice =
  | { kind: 'keep' }
  | {
      kind: 'grind';
      /** Below 0 finer, um. */
      byUm: number;
      /** How sure the direction is, 0.5 to 1; `null` where taste alone asks for it. */
      sure: number | null;
      /** On the grinder told, from the setting told; `null` where none was, or it has no curve. */
      setting: GrindEquivalent | null;
    }
  /** Clock and taste ask for opposite grinds: water went around some of the coffee. */
  | { kind: 'evenness' }
  | { kind: 'water'; more: boolean };

export interface KitchenAnswer {
  advice: KitchenAdvice;
  /** When the recipe drains where it was proven, s, and the span of nine of ten kitchens with its grind. */
  expectedS: { value: number; low: number; high: number };
  /** What the grinder seems to have given, um. */
  grindUm: number;
}

const DRAINED: Range = { low: 20, high: 1800, unit: 's' };
const SETTING: Range = { low: -1000, high: 10_000, unit: '' };
/** Grinds in which a drain time is looked for, um. */
const FINEST_UM = 300;
const COARSEST_UM = 1400;
const HALVINGS = 14;
/** The eye calls the end of the drip so well, s (assumed). */
const END_SD_S = 5;
/** A first step for taste where the clock finds nothing, um (common practice: one small step; its size assumed). */
const TASTE_STEP_UM = 30;
/** A grinder that nobody described is off by so much, standard deviation, um (assumed: twice a described one). */
const UNKNOWN_GRINDER_UM = 2 * ORDINARY_ERRORS.grindUm;
/** So sure of the side, the clock is believed against the tongue (assumed: nine of ten). */
const SEEN = 0.9;
const NOTHING_KNOWN: LearnedFactors = { solubility: 1, rate: 1, flow: 1, retained: 1, steepness: 1 };

/** Which way each taste moves the grind: under-extracted finer, over-extracted coarser (common practice). */
const TASTE_ASKS: Record<KitchenTaste, -1 | 0 | 1> = { right: 0, sour: -1, bitter: 1, weak: 0, strong: 0 };

/**
 * What to change in a kitchen whose brew of a card drained at another time, or tasted of something else: the drain time
 * tells by the model what the grinder there really gave, and how far other paper and hands could have done the same.
 * Taste decides where the clock is silent, and where the two contradict each other the grind stays.
 *
 * @param provenS - drain time as proven; without it the model's own
 * @param drainedS - on the kitchen's clock, 20 to 1800 s
 * @param grinder - with the setting that was used, where it is one with measured points
 */
export function kitchenAdvice({
  plan,
  kit,
  factors = NOTHING_KNOWN,
  provenS,
  drainedS,
  taste,
  grinder,
}: {
  plan: BrewPlan;
  kit: BrewKit;
  factors?: LearnedFactors;
  provenS?: number | null;
  drainedS: number;
  taste: KitchenTaste;
  grinder?: (MeasuredGrinder & { setting: number }) | null;
}): Result<KitchenAnswer, OutOfRange | BrewInputFailure | Failure<'lifted' | 'no-grind-drains-so'>> {
  const fault =
    firstOutOfRange({ drainedS, setting: grinder?.setting }, { drainedS: DRAINED, setting: SETTING }) ??
    conditionsFault(conditionsOfPlan({ plan, kit }), factors);
  if (fault) return fault;
  if (plan.lifts) {
    return failure('lifted', 'This brewer is lifted off at a set time: the clock says nothing of the grind.');
  }
  const modelS = (grindUm: number, paperPerM = kit.paperPerM) =>
    modelledBrew(
      brewAsItWaits({ plan: withGrind(plan, grindUm), kit: { ...kit, paperPerM }, factors }),
      factors,
    ).drawdownS;
  const ownS = modelS(plan.grindUm);
  // What the model is off by where it was proven, it is off by in the kitchen.
  const scale = (provenS ?? ownS) / ownS;
  const drainAt = (grindUm: number) => modelS(grindUm) * scale;
  const expected = drainAt(plan.grindUm);
  const paperS = (modelS(plan.grindUm, kit.paperPerM * (1 + ORDINARY_ERRORS.paperShare)) - ownS) * scale;
  const sdS = Math.hypot(paperS, ORDINARY_ERRORS.pourS, END_SD_S);
  const grindUm = grindThatDrains(drainedS, drainAt);
  if (grindUm === null) {
    return failure(
      'no-grind-drains-so',
      drainedS > expected
        ? 'No usual grind drains so slowly: look whether the paper sealed to the wall or clogged, and brew it once more.'
        : 'No usual grind drains so fast: look whether all water went through the bed, and brew it once more.',
    );
  }
  // The same scatter, read on the steeper or flatter curve of that grind.
  const slope = Math.abs(drainAt(grindUm + 20) - drainAt(grindUm - 20)) / 40;
  const off = believed({
    offUm: grindUm - plan.grindUm,
    sdUm: slope > 0 ? sdS / slope : Infinity,
    usualUm: grinder && grinder.points.length > 0 ? ORDINARY_ERRORS.grindUm : UNKNOWN_GRINDER_UM,
  });
  return success({
    advice: adviceFor({ off, taste, wantedUm: plan.grindUm, grinder: grinder ?? null }),
    expectedS: {
      value: expected,
      low: Math.max(0, expected - NINE_OF_TEN * sdS),
      high: expected + NINE_OF_TEN * sdS,
    },
    grindUm,
  });
}

/** By how much a grinder is taken to be off, um, and how sure that is. */
interface Believed {
  offUm: number;
  sdUm: number;
  /** That it is off to this side and not the other. */
  sure: number;
}

/** The clock's word beside how far such grinders usually are off: normal errors, the surer counts for more. */
function believed({ offUm, sdUm, usualUm }: { offUm: number; sdUm: number; usualUm: number }): Believed {
  const weight = usualUm ** 2 / (usualUm ** 2 + sdUm ** 2);
  const [mean, sd] = [offUm * weight, usualUm * Math.sqrt(1 - weight)];
  return { offUm: mean, sdUm: sd, sure: normalCdf(Math.abs(mean) / sd) };
}

function adviceFor({
  off,
  taste,
  wantedUm,
  grinder,
}: {
  off: Believed;
  taste: KitchenTaste;
  wantedUm: number;
  grinder: (MeasuredGrinder & { setting: number }) | null;
}): KitchenAdvice {
  if (taste === 'right') return { kind: 'keep' };
  const asks = TASTE_ASKS[taste];
  const byClockUm = -off.offUm;
  const isSeen = off.sure >= SEEN;
  if (isSeen && asks !== 0 && Math.sign(byClockUm) !== asks) return { kind: 'evenness' };
  if (!isSeen && asks === 0) return { kind: 'water', more: taste === 'strong' };
  // A clock that only leans one way makes the step of taste larger, never smaller.
  const byUm = isSeen ? byClockUm : asks * Math.max(TASTE_STEP_UM, asks * byClockUm);
  const gaveUm = wantedUm + off.offUm;
  return {
    kind: 'grind',
    byUm,
    sure: isSeen ? off.sure : null,
    setting: settingFor(gaveUm + byUm, gaveUm, off.sdUm, grinder),
  };
}

/** Where the grinder really gives the size: its curve moved to what it gave at the setting that was used. */
function settingFor(
  wantedUm: number,
  gaveUm: number,
  sdUm: number,
  grinder: (MeasuredGrinder & { setting: number }) | null,
): GrindEquivalent | null {
  if (!grinder) return null;
  const curve = grinderCurve({ points: grinder.points });
  const nominal = curve.ok ? sizeAt(curve.value, grinder.setting) : null;
  if (!nominal) return null;
  const off = gaveUm / nominal.grindUm;
  return grindEquivalent({ grinder, grindUm: wantedUm / off, sdUm: sdUm / off });
}

/** By halving: coarser drains faster. @returns `null` outside of usual grinds */
function grindThatDrains(drainedS: number, drainAt: (grindUm: number) => number): number | null {
  let [fine, coarse] = [FINEST_UM, COARSEST_UM];
  if (drainedS > drainAt(fine) || drainedS < drainAt(coarse)) return null;
  for (let halving = 0; halving < HALVINGS; halving++) {
    const middle = (fine + coarse) / 2;
    if (drainAt(middle) > drainedS) fine = middle;
    else coarse = middle;
  }
  return (fine + coarse) / 2;
}
