import { BREW_MODEL, type BrewConstants } from '@vendu/core/brewModel';
import { BREWER_CLASSES, type BrewerGeometry } from '@vendu/core';
import type { Fact, FittedBrewer, FittedPaper } from './facts.js';

/** What was believed of a constant before the fit: its middle and the spread of its logarithm. */
interface Prior {
  name: string;
  centre: number;
  lnSd: number;
}

/** Constants of the model (middles from the textbook or from an earlier fit of simpler equations; spreads assumed). */
const CONSTANTS = {
  permeabilityFactor: [0.26, 0.4],
  finesMigration: [0.018, 0.6],
  finesAgitationGain: [1.7, 0.6],
  diffusionM2PerS: [3.4e-11, 0.4],
  cellM: [40e-6, 0.25],
  fastRatePerS: [0.32, 0.4],
  finesExponent: [1, 0.3],
  exchangePerS: [0.07, 0.6],
  voidsExtraDry: [0.1, 0.3],
  swellingTimeS: [45, 0.5],
} as const satisfies Partial<Record<keyof BrewConstants, readonly [number, number]>>;
/** Share of the wall beside the bed that drains. */
const WALLS: Record<FittedBrewer, readonly [number, number]> = {
  cone: [0.52, 0.25],
  'flat-bottom': [0.55, 0.3],
  carafe: [0.65, 0.3],
};
/** Resistance of a wet paper, 1/m. */
const PAPERS: Record<FittedPaper, readonly [number, number]> = {
  ordinary: [1.8e8, 0.35],
  fast: [1.2e8, 0.35],
  thick: [7e8, 0.35],
};
/** What a pour held in the middle misses, in times what a spiral does. */
const CENTRE_MISSES = 0.11 / 0.08;
/** How far a word for a grind is off. */
const WORD_LN_SD = 0.1;

/** Everything that the fit may move, in the order of its parameters. */
export function priorsOf(facts: readonly Fact[]): Prior[] {
  const listed = (of: Record<string, readonly [number, number]>, what: string) =>
    Object.entries(of).map(([name, [centre, lnSd]]) => ({ name: what + name, centre, lnSd }));
  return [
    ...listed(CONSTANTS, ''),
    ...listed(WALLS, 'wall of '),
    ...listed(PAPERS, 'paper '),
    { name: 'missed by a spiral', centre: 0.08, lnSd: 0.5 },
    ...[...new Set(facts.map(({ source }) => source))].map((source) => ({
      name: `grind of ${source}`,
      centre: 1,
      lnSd: WORD_LN_SD,
    })),
  ];
}

/** Constants and kit with what a fit found, or will. */
export interface Fitted {
  model: BrewConstants;
  brewerOf: (brewer: FittedBrewer) => BrewerGeometry;
  paperOf: (paper: FittedPaper) => number;
  /** Of a source that was not in the fit, its word is taken as it is. */
  grindOf: (source: string) => number;
}

/** @param values - of each prior's constant, in the order of `priors` */
export function fittedWith(priors: readonly Prior[], values: readonly number[]): Fitted {
  const by = new Map(priors.map(({ name }, index) => [name, values[index] ?? 0]));
  const of = (name: string, otherwise: number) => by.get(name) ?? otherwise;
  const missed = of('missed by a spiral', 0);
  const constants = Object.fromEntries(Object.keys(CONSTANTS).map((name) => [name, of(name, 0)]));
  return {
    model: {
      ...BREW_MODEL,
      ...constants,
      unevenBy: { centre: missed * CENTRE_MISSES, circle: missed, spiral: missed },
    },
    brewerOf: (brewer) => ({ ...BREWER_CLASSES[brewer], drainShare: of(`wall of ${brewer}`, 0) }),
    paperOf: (paper) => of(`paper ${paper}`, 0),
    grindOf: (source) => of(`grind of ${source}`, 1),
  };
}
