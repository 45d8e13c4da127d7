import { mean, quantile, sampleStandardDeviation } from 'simple-statistics';
import type { BrewInputFailure } from '../brewModel/checkBrew.js';
import { conditionsOfPlan, type BrewKit, type LearnedFactors } from '../calibration/conditions.js';
import { conditionsFault } from '../calibration/evidence.js';
import { modelledBrew } from '../calibration/modelled.js';
import { firstOutOfRange, type Range } from '../input/ranges.js';
import { brewAsItWaits } from '../forecast/asItWaits.js';
import type { BrewPlan } from '../plan/plan.js';
import { normalDraw, seededRandom } from '../random/seededRandom.js';
import { success, type Result } from '../result.js';
import { CAUSES, erredBrew, ORDINARY_ERRORS, type Cause, type HandErrors } from './handErrors.js';

export interface Spread {
  mean: number;
  sd: number;
  /** Nine of ten brews lie between. */
  low: number;
  high: number;
}

export interface CauseSpread {
  cause: Cause;
  tdsSdPercent: number;
  yieldSdPercent: number;
  drawdownSdS: number;
}

export interface Forgiveness {
  tdsPercent: Spread;
  yieldPercent: Spread;
  drawdownS: Spread;
  /** Share of brews that come out within the window about the recipe's own cup. */
  insideShare: number;
  /** Each error alone, the one that spreads the cup most first. */
  byCause: CauseSpread[];
}

/** A cup that tastes the same: half widths about what the recipe itself gives. */
const SAME_CUP = { tdsPercent: 0.05, yieldPercent: 0.5 } as const;

const RANGES = {
  count: { low: 20, high: 20_000, unit: 'brews' },
  seed: { low: 0, high: 4_294_967_295, unit: '' },
} satisfies Record<string, Range>;
const ERROR_RANGES = {
  grindUm: { low: 0, high: 300, unit: 'µm' },
  kettleC: { low: 0, high: 15, unit: '°C' },
  doseG: { low: 0, high: 3, unit: 'g' },
  pourG: { low: 0, high: 50, unit: 'g' },
  pourS: { low: 0, high: 30, unit: 's' },
  paperShare: { low: 0, high: 1, unit: '' },
} satisfies Record<keyof HandErrors, Range>;

/** No errors at all, to switch one on at a time. */
const NO_ERRORS: HandErrors = { grindUm: 0, kettleC: 0, doseG: 0, pourG: 0, pourS: 0, paperShare: 0 };
/** Brews for each cause alone: enough for a spread to about a ninth of itself. */
const BREWS_A_CAUSE = 40;

/**
 * How a recipe comes out when other people brew it with ordinary errors, and which error matters most: the
 * model brewed many times with errors drawn at random, the same draws for every recipe of a seed.
 *
 * Sampled, since straight lines from a few brews leave the spread of the time a third too low.
 *
 * @param factors - what is known of the lot; a lot of which nothing is known if left out
 */
export function forgiveness({
  plan,
  kit,
  factors = { solubility: 1, rate: 1, flow: 1, retained: 1, steepness: 1 },
  errors = ORDINARY_ERRORS,
  count = 500,
  seed = 1,
}: {
  plan: BrewPlan;
  kit: BrewKit;
  factors?: LearnedFactors;
  errors?: HandErrors;
  count?: number;
  seed?: number;
}): Result<Forgiveness, BrewInputFailure> {
  const fault =
    firstOutOfRange({ count, seed }, RANGES) ??
    firstOutOfRange(errors, ERROR_RANGES) ??
    conditionsFault(conditionsOfPlan({ plan, kit }), factors);
  if (fault) return fault;
  // A pour that waits errs about the moment at which the recipe itself would begin it.
  const brew = brewAsItWaits({ plan, kit, factors });
  const meant = modelledBrew(brew, factors);
  const brewed = (sizes: HandErrors, brews: number) => {
    const random = seededRandom(seed);
    const draw = () => normalDraw(random, { mean: 0, sd: 1 });
    return Array.from({ length: Math.round(brews) }, () =>
      modelledBrew(erredBrew(brew, sizes, draw), factors),
    );
  };
  const all = brewed(errors, count);
  const causes = CAUSES.map((cause): CauseSpread => {
    const alone = brewed({ ...NO_ERRORS, [cause]: errors[cause] }, BREWS_A_CAUSE);
    return {
      cause,
      tdsSdPercent: sampleStandardDeviation(alone.map(({ tdsPercent }) => tdsPercent)),
      yieldSdPercent: sampleStandardDeviation(alone.map(({ yieldPercent }) => yieldPercent)),
      drawdownSdS: sampleStandardDeviation(alone.map(({ drawdownS }) => drawdownS)),
    };
  });
  const inside = all.filter(
    ({ tdsPercent, yieldPercent }) =>
      Math.abs(tdsPercent - meant.tdsPercent) <= SAME_CUP.tdsPercent &&
      Math.abs(yieldPercent - meant.yieldPercent) <= SAME_CUP.yieldPercent,
  );
  return success({
    tdsPercent: spreadOf(all.map(({ tdsPercent }) => tdsPercent)),
    yieldPercent: spreadOf(all.map(({ yieldPercent }) => yieldPercent)),
    drawdownS: spreadOf(all.map(({ drawdownS }) => drawdownS)),
    insideShare: inside.length / all.length,
    byCause: causes.sort((a, b) => weightOf(b) - weightOf(a)),
  });
}

/** How far a cause alone moves the cup, in widths of the same cup. */
function weightOf({ tdsSdPercent, yieldSdPercent }: CauseSpread): number {
  return Math.hypot(tdsSdPercent / SAME_CUP.tdsPercent, yieldSdPercent / SAME_CUP.yieldPercent);
}

function spreadOf(values: number[]): Spread {
  return {
    mean: mean(values),
    sd: sampleStandardDeviation(values),
    low: quantile(values, 0.05),
    high: quantile(values, 0.95),
  };
}
