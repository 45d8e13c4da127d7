import { Matrix } from 'ml-matrix';
import { modelledOutput, remembering } from './modelled.js';
import { FACTORS, type LearnedFactors } from './conditions.js';
import type { MeasuredBrew, Observation } from './evidence.js';
import type { Output } from './discrepancy.js';

// A lot's brews in another brewer, or through another paper, say what the lot is like; how easily water goes through that
// kit is the kit's own. Each kit has a flow of its own beside the lot's, which all of its brews share.

/**
 * How far kits lie apart beside what their figures say: flow as the spread of a logarithm, and strength, % TDS. So that
 * bands for a second brewer hold on both of two truths (computed, `./vendu bench second`).
 */
const KIT_APART = { lnFlow: 0.4, tdsPercent: 0.03 } as const;

const DIFFERENCE = 0.03;
const FLOW = FACTORS.indexOf('flow');

/** A figure as far as its kit moves it. */
export interface OfKit {
  output: Output | 'trace';
  /** Slope with the logarithm of the flow through its kit; left out where all brews are of one kit. */
  kitSlope?: number;
}

export function hasOtherKit(brews: readonly MeasuredBrew[]): boolean {
  return brews.some(({ otherKit }) => otherKit !== undefined);
}

/** A forecast for the kit that is asked about, as a figure of it; without effect while there is no other kit. */
export function forecastOfKit(output: Output, slopes: readonly number[], hasOthers: boolean): OfKit {
  return hasOthers ? { output, kitSlope: slopes[FLOW] ?? 0 } : { output };
}

/** Variance that two figures of one kit share because it lies apart from the others. */
export function sharedByKit(a: OfKit, b: OfKit): number {
  if (a.kitSlope === undefined || b.kitSlope === undefined) return 0;
  const strength = a.output === 'tds' && b.output === 'tds' ? KIT_APART.tdsPercent ** 2 : 0;
  return a.kitSlope * b.kitSlope * KIT_APART.lnFlow ** 2 + strength;
}

/** Figures of the kit that is asked about, as two columns: how each follows the flow through it, and whether it is its strength. */
export function kitParts(
  figures: readonly (OfKit & { brewIndex: number })[],
  brews: readonly MeasuredBrew[],
): Matrix {
  return new Matrix(
    figures.map(({ output, kitSlope, brewIndex }) =>
      kitSlope === undefined || brews[brewIndex]?.otherKit !== undefined
        ? [0, 0]
        : [kitSlope, output === 'tds' ? 1 : 0],
    ),
  );
}

/** So much of each of the {@link kitParts} a forecast shares: `sharedByKit` for all of them at once. */
export function sharedByKitParts({ output, kitSlope }: OfKit): [number, number] {
  if (kitSlope === undefined) return [0, 0];
  return [kitSlope * KIT_APART.lnFlow ** 2, output === 'tds' ? KIT_APART.tdsPercent ** 2 : 0];
}

/** The same figures with how each follows the flow through its kit, where there is more than one. */
export function withKitSlopes(
  observations: readonly Observation[],
  brews: readonly MeasuredBrew[],
  factors: LearnedFactors,
): Observation[] {
  if (!hasOtherKit(brews)) return [...observations];
  const courses = brews.map(({ brew }, index) => {
    const ofBrew = observations.filter(({ brewIndex }) => brewIndex === index);
    const timesS = ofBrew.flatMap(({ atS }) => atS ?? []);
    const modelled = remembering(brew, timesS);
    const at = (by: number) => modelled({ ...factors, flow: factors.flow * Math.exp(by) });
    return { timesS, up: at(DIFFERENCE), down: at(-DIFFERENCE) };
  });
  return observations.map((observation) => {
    const course = courses[observation.brewIndex];
    if (!course) return observation;
    const { timesS, up, down } = course;
    const { output, atS } = observation;
    const point = atS === null ? -1 : timesS.indexOf(atS);
    const rise =
      output === 'trace'
        ? (up.traceG[point] ?? 0) - (down.traceG[point] ?? 0)
        : modelledOutput(up, output) - modelledOutput(down, output);
    return { ...observation, kitSlope: rise / (2 * DIFFERENCE) };
  });
}
