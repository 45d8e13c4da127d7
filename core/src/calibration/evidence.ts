import { firstOutOfRange, outOfRange, type OutOfRange, type Range } from '../input/ranges.js';
import { brewInputFault, type BrewInputFailure } from '../brewModel/checkBrew.js';
import { lotFactorsOf, type BrewConditions, type LearnedFactors } from './conditions.js';
import { FLOWS_FROM_G_PER_G, wanderSdG } from './course.js';
import type { Output } from './discrepancy.js';

/** The beverage on the server's scale at a moment of the brew. */
export interface TracePoint {
  atS: number;
  beverageG: number;
}

/** A measured brew: as it was done, and what of it was measured. A figure nobody took is `null`. */
export interface MeasuredBrew {
  brew: BrewConditions;
  drawdownS: number | null;
  tdsPercent: number | null;
  beverageG: number | null;
  /** Standard uncertainties where they are known better than the bench's usual ones. */
  standard?: { drawdownS?: number; tdsPercent?: number; beverageG?: number };
  trace?: readonly TracePoint[];
  /** Which other kit it was brewed with, where it is not the one asked about: any name, one for each kit. */
  otherKit?: string;
}

/** Standard uncertainty of a drain time judged by eye, s (assumed). */
export const DRAIN_BY_EYE_SD_S = 4;

/** Standard uncertainties of one brew's figures: a drawdown judged by eye, one reading, a server weighed. */
const BENCH = { drawdownS: DRAIN_BY_EYE_SD_S, tdsPercent: 0.03, beverageG: 1 } as const;

/**
 * What repeating the same recipe by hand scatters, beyond the instruments: 2 % of the time, 0.016 % TDS,
 * 0.5 g, from 2 % of grind, 1 K, 0.1 g of dose and 3 % of paper (computed with the model; the errors of hand assumed).
 */
export const HAND: Record<Output, number> = { drawdown: 0.02, tds: 0.016, beverage: 0.5 };

/** A scale under a dripping brewer, g (assumed). */
const TRACE_SD_G = 1;
/** Points of a trace that the fit takes; more of them say the same again. */
const TRACE_POINTS = 8;

/** One figure as the fit takes it: drain time as a logarithm, and the variance of its own error. */
export interface Observation {
  brewIndex: number;
  output: Output | 'trace';
  /** Time on the brew clock, of a point of a trace. */
  atS: number | null;
  value: number;
  variance: number;
  /** How far the model is off here that it is off near by in time too, as a standard deviation; of a trace only. */
  wanderSd?: number;
  /** How the figure follows the flow through its kit: its slope with the logarithm, where brews of more kits are known. */
  kitSlope?: number;
}

export function observationsOf(brews: readonly MeasuredBrew[]): Observation[] {
  return brews.flatMap(({ brew, drawdownS, tdsPercent, beverageG, standard, trace = [] }, brewIndex) => {
    const wholeG = Math.max(1, ...trace.map((point) => point.beverageG));
    const observed = (output: Output, value: number, sd: number): Observation => ({
      brewIndex,
      output,
      atS: null,
      value,
      variance: sd ** 2 + HAND[output] ** 2,
    });
    return [
      ...(drawdownS === null
        ? []
        : [observed('drawdown', Math.log(drawdownS), (standard?.drawdownS ?? BENCH.drawdownS) / drawdownS)]),
      ...(tdsPercent === null ? [] : [observed('tds', tdsPercent, standard?.tdsPercent ?? BENCH.tdsPercent)]),
      ...(beverageG === null
        ? []
        : [observed('beverage', beverageG, standard?.beverageG ?? BENCH.beverageG)]),
      ...thinned(trace.filter((point) => point.beverageG >= FLOWS_FROM_G_PER_G * brew.doseG)).map(
        ({ atS, beverageG: value }): Observation => ({
          brewIndex,
          output: 'trace',
          atS,
          value,
          variance: TRACE_SD_G ** 2,
          wanderSd: wanderSdG(brew.doseG, value / wholeG),
        }),
      ),
    ];
  });
}

/** Points spread evenly over a trace, in order of time. */
function thinned(trace: readonly TracePoint[]): TracePoint[] {
  const ordered = [...trace].sort((a, b) => a.atS - b.atS);
  if (ordered.length <= TRACE_POINTS) return ordered;
  const every = (ordered.length - 1) / (TRACE_POINTS - 1);
  return Array.from({ length: TRACE_POINTS }, (_, index) => ordered[Math.round(index * every)]).filter(
    (point) => point !== undefined,
  );
}

export const EVIDENCE_RANGES = {
  drawdownS: { low: 10, high: 3600, unit: 's' },
  tdsPercent: { low: 0.05, high: 10, unit: '%' },
  beverageG: { low: 1, high: 5000, unit: 'g' },
} satisfies Record<string, Range>;
const STANDARD_RANGES = {
  drawdownS: { low: 0, high: 600, unit: 's' },
  tdsPercent: { low: 0, high: 1, unit: '%' },
  beverageG: { low: 0, high: 200, unit: 'g' },
} satisfies Record<keyof typeof EVIDENCE_RANGES, Range>;
export const TRACE_RANGES = {
  atS: { low: 0, high: 3600, unit: 's' },
  beverageG: { low: -50, high: 5000, unit: 'g' },
} satisfies Record<keyof TracePoint, Range>;

/** @returns the first figure of the brews that cannot be, named from the outside, or `null` */
export function evidenceFault(brews: readonly MeasuredBrew[]): BrewInputFailure | null {
  for (const [index, measured] of brews.entries()) {
    const fault =
      conditionsFault(measured.brew) ??
      firstOutOfRange(
        {
          drawdownS: measured.drawdownS ?? undefined,
          tdsPercent: measured.tdsPercent ?? undefined,
          beverageG: measured.beverageG ?? undefined,
        },
        EVIDENCE_RANGES,
      ) ??
      (measured.standard ? firstOutOfRange(measured.standard, STANDARD_RANGES) : null) ??
      traceFault(measured.trace ?? []);
    if (fault) return 'field' in fault ? { ...fault, field: `brews.${index}.${fault.field}` } : fault;
  }
  return null;
}

const NOTHING_KNOWN: LearnedFactors = { solubility: 1, rate: 1, flow: 1, retained: 1, steepness: 1 };

/** @returns what of a brew, or of the factors it is to be modelled with, cannot be; or `null` */
export function conditionsFault(
  brew: BrewConditions,
  factors: LearnedFactors = NOTHING_KNOWN,
): BrewInputFailure | null {
  return (
    outOfRange('steepness', factors.steepness, { low: 0.1, high: 10, unit: '' }) ??
    brewInputFault({ ...brew, lot: lotFactorsOf(factors, brew.roastAgeDays) })
  );
}

function traceFault(trace: readonly TracePoint[]): OutOfRange | null {
  for (const [index, point] of trace.entries()) {
    const fault = firstOutOfRange(point, TRACE_RANGES);
    if (fault) return { ...fault, field: `trace.${index}.${fault.field}` };
  }
  return null;
}
