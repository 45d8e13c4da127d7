/** A brewer as a frustum with drained walls, in SI units. */
export interface BrewerGeometry {
  bottomRadiusM: number;
  /** Radius gained per height: 0 for an upright wall, tan 30 for a 60-degree cone. */
  wallSlope: number;
  heightM: number;
  outletAreaM2: number;
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

export interface BrewModelInput {
  doseG: number;
  /** Median size, micrometres; geometric spread (1.5 unless known); share of fines unless it follows from the size. */
  grind: { d50Um: number; sigmaG?: number; finesShare?: number };
  kettleC: number;
  /** In any order; pours that overlap add up. */
  pours: readonly { startS: number; amountG: number; flowGps: number }[];
  agitation: readonly { atS: number; kind: 'swirl' | 'stir' }[];
  brewer: BrewerGeometry;
  /** Resistance of the wet paper, 1/m. */
  paperPerM: number;
  lot: LotFactors;
  ambientC: number;
  elevationM: number;
}

/** The brew at one moment. */
export interface BrewMoment {
  atS: number;
  levelM: number;
  slurryC: number;
  outflowGps: number;
  aboveBedG: number;
  beverageG: number;
  tdsPercent: number;
  yieldPercent: number;
}

export interface BrewForecast {
  /** When the water above the bed has gone, s; `null` when it had not within the time simulated. */
  drawdownS: number | null;
  beverageG: number;
  tdsPercent: number;
  yieldPercent: number;
  /** Early, mid and late parts of the yield: a qualitative split, resting on no composition data. */
  yieldByClassPercent: [number, number, number];
  maxLevelM: number;
  overflows: boolean;
  /** Relative errors of the balances, which should be no more than rounding. */
  waterError: number;
  soluteError: number;
  series: BrewMoment[];
}
