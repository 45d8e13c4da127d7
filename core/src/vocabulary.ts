/** The trade's closed lists. Database, API and screens use these words and no others. */

export const PROCESSES = [
  'washed',
  'honey',
  'natural',
  'anaerobic',
  'carbonic-maceration',
  'long-fermentation',
  'co-fermented',
  'decaffeinated',
  // The sack does not say, and nobody guesses.
  'not-known',
] as const;
export type Process = (typeof PROCESSES)[number];

/** What a fermentation, an added fruit or a decaffeination is done on top of. */
export const BASE_PROCESSES = ['washed', 'honey', 'natural'] as const satisfies readonly Process[];
export type BaseProcess = (typeof BASE_PROCESSES)[number];

/** How high a lot grew where nobody gives a figure. */
export const ELEVATION_WORDS = ['low', 'middling', 'high'] as const;
export type ElevationWord = (typeof ELEVATION_WORDS)[number];

/** What a person noticed of a lot, beyond what its papers say. */
export const LOT_SIGNS = ['delicate', 'prone-to-dryness', 'many-fines', 'no-bloom-rise'] as const;
export type LotSign = (typeof LOT_SIGNS)[number];

export const ROAST_LEVELS = ['light', 'medium-light', 'medium', 'medium-dark'] as const;
export type RoastLevel = (typeof ROAST_LEVELS)[number];

/** How a brewer lets water go, which decides what sets the flow. */
export const BREWER_SHAPES = ['cone', 'flat-bottom', 'carafe'] as const;
export type BrewerShape = (typeof BREWER_SHAPES)[number];

/** How far ribs inside a brewer hold the paper off its wall. */
export const RIBS = ['none', 'part-way', 'full'] as const;
export type Ribs = (typeof RIBS)[number];

export const WALL_MATERIALS = ['plastic', 'glass', 'ceramic', 'metal'] as const;
export type WallMaterial = (typeof WALL_MATERIALS)[number];

/** Pleats hold a paper off the wall by themselves. */
export const PAPER_FOLDS = ['smooth', 'pleated'] as const;
export type PaperFold = (typeof PAPER_FOLDS)[number];

/** What keeps a paper where it belongs: open channels behind it, and no water past it. */
export const PAPER_SEATINGS = ['spoon', 'tool'] as const;
export type PaperSeating = (typeof PAPER_SEATINGS)[number];

/** How much body a paper lets into the cup: papers are judged by it as much as by their flow. */
export const PAPER_BODIES = ['little', 'some', 'much'] as const;
export type PaperBody = (typeof PAPER_BODIES)[number];

/** What stands on a brewer and takes the pours: a regulator meters the water, a shower plate only spreads it. */
export const FEEDER_KINDS = ['regulator', 'shower-plate'] as const;
export type FeederKind = (typeof FEEDER_KINDS)[number];

export const AGITATIONS = ['none', 'swirl', 'stir', 'wall-stir', 'needle'] as const;
export type Agitation = (typeof AGITATIONS)[number];
/** Something done to the bed. */
export type Agitating = Exclude<Agitation, 'none'>;
/** What the brew model tells apart of it. */
export const MODELLED_AGITATIONS = ['swirl', 'stir', 'needle'] as const;
export type ModelledAgitation = (typeof MODELLED_AGITATIONS)[number];

/** When an agitation that is left open is done. */
export const AGITATION_CONDITIONS = ['cup-asks', 'roast-old', 'bed-uneven'] as const;
export type AgitationCondition = (typeof AGITATION_CONDITIONS)[number];

/** Where a stream goes: held in the middle, led around, wound over all of the bed, along the paper, or in short bursts. */
export const POUR_PATTERNS = [
  'centre',
  'circle',
  'spiral',
  'spiral-out',
  'spiral-in',
  'wall',
  'pulses',
] as const;
export type PourPattern = (typeof POUR_PATTERNS)[number];
/** What the brew model tells apart of it. */
export const MODELLED_PATTERNS = ['centre', 'circle', 'spiral'] as const satisfies readonly PourPattern[];
export type ModelledPattern = (typeof MODELLED_PATTERNS)[number];

/**
 * What a pour waits for where it is not the clock: no water left in the bed, grounds that begin to show in it, or the
 * water standing no higher than so much over it.
 */
export const POUR_TRIGGERS = ['through', 'bed-shows', 'level'] as const;
export type PourTrigger = (typeof POUR_TRIGGERS)[number];

/** What is done to the finished beverage before it is read and served. */
export const BEVERAGE_MIXINGS = ['swirl', 'stir'] as const;
export type BeverageMixing = (typeof BEVERAGE_MIXINGS)[number];

export const TASTING_STAGES = ['hot', 'warm', 'cool'] as const;
export type TastingStage = (typeof TASTING_STAGES)[number];

/** How coded cups are asked about: one differs, one equals the known one, one is liked better, an order, or points. */
export const BLIND_METHODS = ['triangle', 'duo-trio', 'paired', 'ranking', 'scores'] as const;
export type BlindMethod = (typeof BLIND_METHODS)[number];

/** What may differ between the arms of a comparison. */
export const COMPARED_AXES = [
  'lot',
  'brewer',
  'paper',
  'water',
  'kettle',
  'grinder',
  'grind',
  'temperature',
  'dose',
  'ratio',
  'bloom',
  'pours',
  'pouring',
  'regulator',
  'agitation',
  'end',
  'rest',
] as const;
export type ComparedAxis = (typeof COMPARED_AXES)[number];

/** What makes one grind comparable with another: the dial, or what came of it. */
export const GRIND_MATCHES = ['dial', 'drain', 'yield'] as const;
export type GrindMatch = (typeof GRIND_MATCHES)[number];

export const INTENSITIES = [
  'acidity',
  'sweetness',
  'body',
  'bitterness',
  'dryness',
  'clarity',
  'aftertaste',
] as const;
export type Intensity = (typeof INTENSITIES)[number];

/** When a nose is put to it: to the dry grounds, to the cup when it is swirled, to the cup once it is empty. */
export const AROMA_MOMENTS = ['dry', 'swirled', 'emptied'] as const;
export type AromaMoment = (typeof AROMA_MOMENTS)[number];

/** What a coffee is tasted from: a heavy cup keeps heat, a wine glass shows aroma, two sides show two coffees. */
export const VESSELS = ['cup', 'heavy-cup', 'glass', 'wine-glass', 'two-sided-cup'] as const;
export type Vessel = (typeof VESSELS)[number];

/** How a figure of a refractometer came: typed, sent by the instrument, or made by a stand-in. */
export const READING_SOURCES = ['typed', 'sent', 'simulated'] as const;
export type ReadingSource = (typeof READING_SOURCES)[number];

/** A verdict judges the cup against what this lot is meant to show. */
export const VERDICTS = ['on-aim', 'close', 'off-aim'] as const;
export type Verdict = (typeof VERDICTS)[number];

export const LOT_STAGES = [
  'arrived',
  'first-brews',
  'dialling-in',
  'proving',
  'signed-off',
  'published',
  'watched',
] as const;
export type LotStage = (typeof LOT_STAGES)[number];

/**
 * A guest taster tastes what stands on the table; a barista does all but what a lead answers for; an admin looks after
 * people, programs and copies, and has no hand in recipes.
 */
export const ROLES = ['taster', 'barista', 'lead', 'admin'] as const;
export type Role = (typeof ROLES)[number];
