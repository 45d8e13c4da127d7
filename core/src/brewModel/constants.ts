/**
 * Every number of the brew model, in SI units. Marks: mem. from memory, ass. assumed with no data behind it,
 * cal. calibrated on eleven brews of common practice (reproducing those is no validation).
 */
export const BREW_MODEL = {
  version: '3',
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
  voidsExtraDry: 0.1079,
  swellingTimeS: 46.59,
  /** Saturation below which the bed no longer drains (mem. and ass.), and its ceiling. */
  residualSaturation: 0.7,
  residualSaturationMax: 0.95,
  /** Finer pores hold more against gravity (Leverett, mem.): power of the size (ass.), and the size at which the above holds, m. */
  retentionPower: 0.3,
  retentionSizeM: 223e-6,
  /** A wider spread of sizes packs tighter (textbook, mem.): voids lost per unit of its logarithm beyond a usual grind's (ass.). */
  voidsPerSpread: 0.06,

  /** Soluble share of the dose, and its split over early, mid and late classes (ass.; qualitative only). */
  solubleShare: 0.29,
  classShares: [0.3, 0.45, 0.25],
  /** Depth from which a class is washed out at once, m (cal.), and its factor per class. */
  cellM: 44.39e-6,
  shellFactors: [1.3, 1, 0.6],
  /** Diffusion in grains at 90 C, m2/s (cal.), and its factor per class. */
  diffusionM2PerS: 5.958e-11,
  diffusionFactors: [1.3, 1, 0.8],
  /** Washing out of the fast pool at 90 C, 1/s (cal.), its factor per class, and its gain by agitation (ass.). */
  fastRatePerS: 0.3187,
  fastFactors: [1.6, 1, 0.5],
  fastAgitationGain: 0.3,
  /** Activation energies of the classes, J/mol (ass., inside the 18-46 kJ/mol reported for infusion, mem.). */
  activationJPerMol: [28_000, 35_000, 45_000],
  activationReferenceK: 363.15,

  /** Fines: share at the reference grind, its exponent (cal.), ceiling and size. */
  finesShareAtReference: 0.12,
  finesReferenceUm: 700,
  finesExponent: 0.8823,
  finesShareMax: 0.4,
  finesM: 40e-6,
  /** Permeability factor, migration of fines and its gain by agitation, load at which a paper clogs, kg/m2 (cal.; the load ass.). */
  permeabilityFactor: 0.3299,
  finesMigration: 0.017_74,
  finesAgitationGain: 2.133,
  clogLoadKgPerM2: 0.17,
  /** Share of the bed that water channels past, its ceiling and the size at which it is half (ass. shapes). */
  channelMax: 0.25,
  channelSizeM: 110e-6,
  /** Share still clumped at the start, and how pouring breaks it up (ass.). */
  clumpedAtStart: 0.1,
  clumpBreaking: 0.012,

  /** Share of the bed that the water of one pour misses, by its pattern (cal., their proportion ass.); a regulator reaches all of it. */
  unevenBy: { centre: 0.1669, circle: 0.1214, spiral: 0.1214 },
  /** Agitation: its decay, s, what a stream of 5 g/s falling 0.1 m onto the bare bed adds per g/s, what swirl, stir and needles add, what each leaves of the clumps (ass.). */
  agitationDecayS: 5,
  agitationPerGps: 0.2,
  /** How much more a heavier stream stirs per gram: power of its flow over the reference (ass.). */
  streamPower: 0.5,
  streamReferenceGps: 5,
  /** Height from which a stream falls, where nobody says, and out of a regulator, m (ass.). */
  fallM: 0.1,
  regulatorFallM: 0.02,
  /** Depth to which a plunging stream reaches: 2.1 v^0.775 d^0.67, SI (Bin 1993, mem.). Water above the bed shields it so. */
  reach: { factor: 2.1, speedPower: 0.775, widthPower: 0.67 },
  agitationOf: { swirl: 2, stir: 3, needle: 1.5 },
  clumpsLeftBy: { swirl: 0.65, stir: 0.5, needle: 0.4 },
  /** Exchange between the water above and the bed, 1/s (prior-dominated). */
  exchangePerS: 0.072_84,
  /** Wetting of grains, s, and how gas slows it (ass.). */
  wettingS: 6,
  wettingGasFactor: 4,

  /** Gas: release from opened cells and from cores, 1/s, the share in cores, bubble lifetime, s, ageing scale, days, loss by grinding, ceiling of the gas share (ass./mem.). */
  gasReleasePerS: 0.05,
  coreGasPerS: 0.008,
  coreGasShare: 0.5,
  bubbleS: 15,
  gasAgeingDays: 25,
  gasLossByGrinding: 0.4,
  gasShareMax: 0.6,
  /** How much of the volume of its bubbles the bed rises by (ass.). */
  gasLifts: 1,
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

/** What was learned by another version of the model has to be learned again. */
export const MODEL_VERSION: string = BREW_MODEL.version;

type Widened<T> = T extends number
  ? number
  : T extends string
    ? string
    : { readonly [K in keyof T]: Widened<T[K]> };

/** The same numbers with other values: what a synthetic truth is made with, to try the model against. */
export type BrewConstants = Widened<typeof BREW_MODEL>;
