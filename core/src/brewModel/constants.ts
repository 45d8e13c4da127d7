/**
 * Every number of the brew model, in SI units. Marks: mem. from memory, ass. assumed with no data behind it,
 * cal. calibrated on eleven brews of common practice (reproducing those is no validation).
 */
export const BREW_MODEL = {
  version: '2',
  /** Layers of the bed; 4 lies within 0.1 yield points of 16 (computed). */
  cells: 4,
  gravityMPerS2: 9.806_65,
  gasConstantJPerMolK: 8.314_462_618,
  /** Discharge coefficient of a sharp hole (textbook, mem.). */
  dischargeCoefficient: 0.62,
  /** Kozeny-Carman factor for packed grains (textbook, mem.). */
  kozenyCarman: 180,
  waterJPerKgK: 4190,
  coffeeJPerKgK: 1800,

  /** Solid density and envelope volume of grains, their swelling by volume (mem. and ass.; together 1.9 g/g retained). */
  solidKgPerM3: 1330,
  envelopeM3PerKg: 1.55e-3,
  swelling: 0.1,
  /** Density at which grains hold water, kg/m3. */
  heldWaterKgPerM3: 970,
  /** Voids of the swollen bed, and what a dry bed has more of them (cal.), with the time of swelling, s (cal.). */
  voidsSwollen: 0.4,
  voidsExtraDry: 0.099_05,
  swellingTimeS: 44.7,
  /** Saturation below which the bed no longer drains (mem. and ass.), and its ceiling. */
  residualSaturation: 0.7,
  residualSaturationMax: 0.95,

  /** Soluble share of the dose, and its split over early, mid and late classes (ass.; qualitative only). */
  solubleShare: 0.29,
  classShares: [0.3, 0.45, 0.25],
  /** Depth from which a class is washed out at once, m (cal.), and its factor per class. */
  cellM: 40.7e-6,
  shellFactors: [1.3, 1, 0.6],
  /** Diffusion in grains at 90 C, m2/s (cal.), and its factor per class. */
  diffusionM2PerS: 3.411e-11,
  diffusionFactors: [1.3, 1, 0.8],
  /** Washing out of the fast pool at 90 C, 1/s (cal.), its factor per class, and its gain by agitation (ass.). */
  fastRatePerS: 0.3163,
  fastFactors: [1.6, 1, 0.5],
  fastAgitationGain: 0.3,
  /** Activation energies of the classes, J/mol (ass., inside the 18-46 kJ/mol reported for infusion, mem.). */
  activationJPerMol: [28_000, 35_000, 45_000],
  activationReferenceK: 363.15,

  /** Fines: share at the reference grind, its exponent (cal.), ceiling and size. */
  finesShareAtReference: 0.12,
  finesReferenceUm: 700,
  finesExponent: 0.9867,
  finesShareMax: 0.4,
  finesM: 40e-6,
  /** Permeability factor, migration of fines and its gain by agitation, load at which a paper clogs, kg/m2 (cal.; the load ass.). */
  permeabilityFactor: 0.2584,
  finesMigration: 0.017_75,
  finesAgitationGain: 1.711,
  clogLoadKgPerM2: 0.17,
  /** Share of the bed that water channels past, its ceiling and the size at which it is half (ass. shapes). */
  channelMax: 0.25,
  channelSizeM: 110e-6,
  /** Share still clumped at the start, and how pouring breaks it up (ass.). */
  clumpedAtStart: 0.06,
  clumpBreaking: 0.005,

  /** Agitation: its decay, s, what a pour adds per g/s, what swirl, stir and needles add, what each leaves of the clumps (ass.). */
  agitationDecayS: 5,
  agitationPerGps: 0.2,
  agitationOf: { swirl: 2, stir: 3, needle: 1.5 },
  clumpsLeftBy: { swirl: 0.5, stir: 0.4, needle: 0.3 },
  /** Exchange between the water above and the bed, 1/s (prior-dominated). */
  exchangePerS: 0.0708,
  /** Wetting of grains, s, and how gas slows it (ass.). */
  wettingS: 6,
  wettingGasFactor: 8,

  /** Gas: release, 1/s, bubble lifetime, s, ageing scale, days, loss by grinding, ceiling of the gas share (ass./mem.). */
  gasReleasePerS: 0.05,
  bubbleS: 3,
  gasAgeingDays: 25,
  gasLossByGrinding: 0.4,
  gasShareMax: 0.6,
  carbonDioxideKgPerMol: 0.044_01,

  /** Heat: stream, air and wall (ass.). */
  streamLossK: 1.5,
  airWPerM2K: 4,
  wallWPerM2K: 400,
  brewerToRoomWPerM2K: 8,

  /** The brewer counts as drained when this little stands above the bed, kg; the brew ends below this outflow, kg/s. */
  drainedKg: 1.5e-3,
  endOutflowKgPerS: 1e-4,

  /** Share of the warmth above itself that a chilled ball takes from the stream running over it (ass.). */
  ballEffectiveness: 0.6,
} as const;

type Widened<T> = T extends number
  ? number
  : T extends string
    ? string
    : { readonly [K in keyof T]: Widened<T[K]> };

/** The same numbers with other values: what a synthetic truth is made with, to try the model against. */
export type BrewConstants = Widened<typeof BREW_MODEL>;
