import type { BrewInputFailure } from '../brewModel/checkBrew.js';
import type { BrewConditions } from '../calibration/conditions.js';
import { conditionsFault } from '../calibration/evidence.js';
import { modelledBrew } from '../calibration/modelled.js';
import { outOfRange } from '../input/ranges.js';
import { failure, success, type Failure, type Result } from '../result.js';
import type { MeasuredPoint } from './grinderCurve.js';

/** Where the drain time of the model falls with the size all along, um. */
const FINEST_UM = 350;
const COARSEST_UM = 1600;
const HALVINGS = 24;
/** A drain time repeats to about 4 s, and 50 um are 8 to 12 s (common practice and model). */
const TIME_SD_S = 4;
const STEP_UM = 25;

/**
 * Sizes that a grinder's settings grind to, from the drain time of one reference brew at each of them: the
 * shared scale where nobody can measure grains. The coffee and the brewer are taken out by one setting whose
 * size is known, on this grinder or on another.
 *
 * @param brew - the reference brew; its grind is what is looked for
 * @param known - a size with the drain time it gave in the same brew with the same coffee
 */
export function grindFromDrainTimes({
  brew,
  known,
  drained,
}: {
  brew: BrewConditions;
  known: { grindUm: number; drawdownS: number };
  drained: readonly { setting: number; drawdownS: number }[];
}): Result<MeasuredPoint[], BrewInputFailure | Failure<'time-not-possible'>> {
  const fault =
    conditionsFault(brew) ??
    outOfRange('known.grindUm', known.grindUm, { low: FINEST_UM, high: COARSEST_UM, unit: 'µm' });
  if (fault) return fault;
  const drainedS = (grindUm: number, flow: number) =>
    modelledBrew(
      { ...brew, grind: { d50Um: grindUm } },
      { solubility: 1, rate: 1, flow, retained: 1, steepness: 1 },
    ).drawdownS;
  const flow = halved(0.05, 20, known.drawdownS, (at) => drainedS(known.grindUm, at));
  if (flow === null) return impossible(known.drawdownS);
  const points: MeasuredPoint[] = [];
  for (const { setting, drawdownS } of drained) {
    // Coarser drains faster: the span is searched from its slow, fine end down.
    const grindUm = halved(COARSEST_UM, FINEST_UM, drawdownS, (at) => drainedS(at, flow));
    if (grindUm === null) return impossible(drawdownS);
    const slope = (drainedS(grindUm - STEP_UM, flow) - drainedS(grindUm + STEP_UM, flow)) / (2 * STEP_UM);
    points.push({ setting, grindUm, sdUm: TIME_SD_S / Math.max(slope, 0.01) });
  }
  return success(points);
}

function impossible(drawdownS: number): Failure<'time-not-possible'> {
  return failure(
    'time-not-possible',
    `No grind of ${FINEST_UM} to ${COARSEST_UM} µm drains this brew in ${drawdownS} s.`,
  );
}

/** Where a value that rises from `low` to `high` meets the one wanted, by halving the logarithm; `null` outside. */
function halved(low: number, high: number, wanted: number, valueAt: (at: number) => number): number | null {
  if (!(wanted >= valueAt(low) && wanted <= valueAt(high))) return null;
  let [a, b] = [low, high];
  for (let halving = 0; halving < HALVINGS; halving++) {
    const middle = Math.sqrt(a * b);
    if (valueAt(middle) < wanted) a = middle;
    else b = middle;
  }
  return Math.sqrt(a * b);
}
