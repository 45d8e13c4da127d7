import type { ModelledAgitation, ModelledPattern } from '../vocabulary.js';

/** A brewer as a frustum with drained walls, in SI units. */
export interface BrewerGeometry {
  bottomRadiusM: number;
  /** Radius gained per height: 0 for an upright wall, tan 30 for a 60-degree cone. */
  wallSlope: number;
  heightM: number;
  outletAreaM2: number;
  /** Share of the bottom through which it drains: the paper lies on the rest. */
  bottomShare: number;
  /** Share of the wall beside the bed through which it drains. */
  drainShare: number;
  /** Share of the wall above the bed that is open to water running past. */
  openShare: number;
  heatCapacityJPerK: number;
  preheatC: number;
}

/** What is learned of a lot: factors around 1, and its gas. */
export interface LotFactors {
  solubility: number;
  rate: number;
  permeability: number;
  clogging: number;
  retained: number;
  co2MgPerG: number;
  ageDays: number;
}

/** One grind: median size, micrometres; geometric spread (1.5 unless known); fines (from the size unless known). */
export interface Grind {
  d50Um: number;
  sigmaG?: number;
  /** Share of fines by volume. */
  finesShare?: number;
}

/** Grinds mixed by mass, and how much of all fines a sieve took out, 0 to 1. */
export interface GrindBlend {
  parts: readonly { grind: Grind; share: number }[];
  finesSieved?: number;
}

export interface ModelPour {
  startS: number;
  amountG: number;
  flowGps: number;
  /** Where this pour's water was set apart from the plan's kettle. */
  kettleC?: number;
  /** Height from which the stream falls on the bed, m; 0.1 where nobody says. */
  fallM?: number;
  /** Where the stream goes; a spiral where nobody says. */
  pattern?: ModelledPattern;
}

/** A chilled metal ball under the outlet while the first part of the beverage runs over it. */
export interface ChilledBall {
  massG: number;
  /** Specific heat, J/(kg K): about 500 for steel. */
  heatJPerKgK: number;
  startC: number;
  /** Taken away at this time, s. */
  untilS: number;
}

export interface BrewModelInput {
  doseG: number;
  grind: Grind | GrindBlend;
  kettleC: number;
  /** In any order; pours that overlap add up. */
  pours: readonly ModelPour[];
  agitation: readonly { atS: number; kind: ModelledAgitation }[];
  brewer: BrewerGeometry;
  /** Resistance of the wet paper, 1/m. */
  paperPerM: number;
  lot: LotFactors;
  ambientC: number;
  elevationM: number;
  /** A regulator on top lets no more than this through, g/s; it holds the rest back. */
  regulatorGps?: number;
  chilledBall?: ChilledBall;
  /** The brewer is lifted off the server at this time, s. */
  liftAtS?: number;
  /** Water added to the finished beverage, g. */
  bypassG?: number;
}

/** The brew at one moment. */
export interface BrewMoment {
  atS: number;
  levelM: number;
  slurryC: number;
  outflowGps: number;
  aboveBedG: number;
  beverageG: number;
  /** Strength of all that is in the cup, and of what is running into it. */
  tdsPercent: number;
  streamTdsPercent: number;
  yieldPercent: number;
}

/** A brew over time as columns, one figure at every whole step. */
export type BrewSeries = Readonly<Record<keyof BrewMoment, readonly number[]>>;

export type BrewWarningKind =
  'overflow' | 'nearly-full' | 'agitated-when-full' | 'stall' | 'bed-dry' | 'kettle-above-boiling';

/** Something that will go wrong, when, and what to do about it. */
export interface BrewWarning {
  kind: BrewWarningKind;
  atS: number;
  message: string;
}

export interface BrewForecast {
  /** When the water above the bed has gone, s; `null` when it had not within the time simulated. */
  drawdownS: number | null;
  beverageG: number;
  tdsPercent: number;
  yieldPercent: number;
  /** Early, mid and late parts of the yield: a qualitative split, resting on no composition data. */
  yieldByClassPercent: [number, number, number];
  /** Mixed temperature of the beverage as it ran in, before the server and the air cool it, C. */
  beverageC: number;
  maxLevelM: number;
  overflows: boolean;
  /** What still runs out after the brewer was lifted, into its own cup; `null` where it was not lifted. */
  afterLift: { beverageG: number; tdsPercent: number } | null;
  warnings: BrewWarning[];
  /** Relative errors of the balances, which should be no more than rounding. */
  waterError: number;
  soluteError: number;
  series: BrewSeries;
}
