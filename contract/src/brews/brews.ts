import { Type } from 'class-transformer';
import { IsBoolean, IsUUID, ValidateIf, ValidateNested } from 'class-validator';
import {
  READING_SOURCES,
  RECORD,
  SAMPLE_RANGE_C,
  VERDICTS,
  type BenchEvent,
  type BrewEntry,
  type BrewPlan,
  type BrewResult,
  type ReadingSource,
  type SplitCup,
  type StepDone,
  type TastingStage,
  type Trace,
  type TracePoint,
  type Verdict,
} from '@vendu/core';
import type { TastingView } from './tastings.js';
import { TraceDto, type BrewKitNames, type FractionDto } from './bench.js';
import { BrewEntries } from './brewEntries.js';
import { IsPlainObject, NumberBetween, OneOf, TextUpTo } from '../validation/decorators.js';

const isGiven = (_: object, value: unknown) => value !== null && value !== undefined;

/** A brew as the bench kept it. Put under a key of the client's making, so that sending twice stores once. */
export class PutBrewDto {
  @NumberBetween({ label: 'Recipe version', unit: '', min: 1, max: 2_147_483_647, whole: true })
  recipeVersionId!: number;

  @NumberBetween({ label: 'Roast batch', unit: '', min: 1, max: 2_147_483_647, whole: true })
  roastBatchId!: number;

  /** The grinder, where it was another than the recipe's; `null` where it was that. */
  @ValidateIf(isGiven)
  @NumberBetween({ label: 'Grinder', unit: '', min: 1, max: 2_147_483_647, whole: true })
  grinderId: number | null = null;

  /** Whoever brewed it had the card alone, not the bench's steps. */
  @IsBoolean({ message: 'From the card alone must be yes or no.' })
  fromCard: boolean = false;

  /** The arm of a comparison it was brewed for; `null` for none. */
  @ValidateIf(isGiven)
  @NumberBetween({ label: 'Arm', unit: '', min: 1, max: 2_147_483_647, whole: true })
  comparisonArmId: number | null = null;

  /** The whole log, as far as the device has it; its moments are of the device's clock, which may be off. */
  @BrewEntries()
  entries!: BrewEntry[];

  /** What the scale showed; `null` where the brew was marked by hand. */
  @ValidateIf(isGiven)
  @IsPlainObject()
  @ValidateNested()
  @Type(() => TraceDto)
  trace: TraceDto | null = null;

  /** What a second scale under the server alone showed; `null` where there was none. */
  @ValidateIf(isGiven)
  @IsPlainObject()
  @ValidateNested()
  @Type(() => TraceDto)
  outflow: TraceDto | null = null;

  /** The scale that was read; empty where there was none. */
  @TextUpTo({ label: 'Scale', max: RECORD.longestScaleName })
  scale: string = '';

  /** The scale was a stand-in. */
  @IsBoolean({ message: 'Simulated must be yes or no.' })
  isSimulated: boolean = false;
}

export class BrewKeyParam {
  @IsUUID('4', { message: 'The key of a brew is a UUID.' })
  key!: string;
}

/** What was weighed, and what was written down about the brew. */
export class WeighBrewDto {
  @NumberBetween({ label: 'Revision', unit: '', min: 0, max: 1_000_000, whole: true })
  revision!: number;

  /** The dose as weighed; `null` when nobody wrote it down and the plan's is taken. */
  @ValidateIf(isGiven)
  @NumberBetween({ label: 'Dose', unit: 'g', min: 5, max: 120 })
  doseG: number | null = null;

  /** The last total on the scale; `null` when nobody wrote it down. */
  @ValidateIf(isGiven)
  @NumberBetween({ label: 'Water poured', unit: 'g', min: 20, max: 5000 })
  waterG: number | null = null;

  @ValidateIf(isGiven)
  @NumberBetween({ label: 'Beverage', unit: 'g', min: 10, max: 5000 })
  beverageG: number | null = null;

  /** What fell through the sieve; `null` where nobody weighed it, and of a brew without one. */
  @ValidateIf(isGiven)
  @NumberBetween({ label: 'Fines', unit: 'g', min: 0, max: 100 })
  finesG: number | null = null;

  /** What ran out after the brewer was lifted. */
  @ValidateIf(isGiven)
  @NumberBetween({ label: 'Tail', unit: 'g', min: 0, max: 2000 })
  tailG: number | null = null;

  @ValidateIf(isGiven)
  @NumberBetween({ label: 'Strength of the tail', unit: '%', min: 0, max: 15 })
  tailTdsPercent: number | null = null;

  @TextUpTo({ label: 'Taste of the tail', max: 300 })
  tailNote: string = '';

  @TextUpTo({ label: 'Notes', max: 2000 })
  note: string = '';
}

/** How warm the sample on the prism is. */
export const SAMPLE_FIELD = {
  label: 'Sample',
  unit: '°C',
  min: SAMPLE_RANGE_C.low,
  max: SAMPLE_RANGE_C.high,
} as const;

export class NewReadingDto {
  /** Checked in full by the core, which knows a slipped decimal point when it sees one. */
  @NumberBetween({ label: 'Reading', unit: '%', min: -1000, max: 1000 })
  tdsPercent!: number;

  /** Of the sample when it was read; `null` where nobody said. */
  @ValidateIf(isGiven)
  @NumberBetween(SAMPLE_FIELD)
  sampleC: number | null = null;

  @OneOf({ label: 'Source', values: READING_SOURCES })
  source: ReadingSource = 'typed';
}

export class VerdictDto {
  @OneOf({ label: 'Verdict', values: VERDICTS })
  verdict!: Verdict;

  @TextUpTo({ label: 'Reason', max: 500 })
  reason: string = '';
}

export interface ReadingView {
  id: number;
  tdsPercent: number;
  sampleC: number | null;
  source: ReadingSource;
}

export const WEIGHED_FIELDS = ['doseG', 'waterG', 'beverageG', 'finesG', 'tailG', 'tailTdsPercent'] as const;
export type WeighedField = (typeof WEIGHED_FIELDS)[number];

/** A figure that was altered after it was first written; the first entry is kept. */
export interface CorrectionView {
  field: WeighedField | `step.${number}.atS` | `step.${number}.totalG`;
  fromValue: number | null;
  toValue: number | null;
  by: string;
  at: string;
}

/** The curves of a brew; `null` where no scale was read. */
export interface BrewTraces {
  /** Under everything: what was poured. */
  trace: Trace | null;
  /** Under the server alone: what ran through. */
  outflow: Trace | null;
}

export interface BrewListItem {
  id: number;
  /** Count within the lot, from 1. */
  number: number;
  recipeId: number;
  versionNumber: number;
  brewedBy: string;
  startedAt: string;
  plan: BrewPlan;
  steps: StepDone[];
  events: BenchEvent[];
  doseG: number;
  waterG: number;
  beverageG: number | null;
  result: BrewResult | null;
  verdict: Verdict | null;
  /** How well the cup was liked, 1 to 9, the mean of its sheets; `null` where nobody said, and while it may still be tasted. */
  liked: number | null;
  isSetAside: boolean;
  /** A stand-in poured or read it. */
  isSimulated: boolean;
  /** Whoever brewed it had the card alone. */
  fromCard: boolean;
  roastAgeDays: number;
  /** The beverage as it ran through, every few seconds; empty where no scale stood under the server. */
  outflow: TracePoint[];
  /** The cups of a split brew, in the order in which they were changed; empty where it was not split. */
  cups: SplitCup[];
}

export interface BrewView extends BrewListItem {
  revision: number;
  lot: { id: number; name: string; process: string; additions: string; labelNotes: string[] };
  recipeVersionId: number;
  brewerName: string;
  doseBasis: 'as-weighed' | 'as-planned';
  waterBasis: 'as-weighed' | 'as-planned';
  roastedOn: string;
  /** What was weighed under the sieve; `null` where nobody did. */
  finesG: number | null;
  tailG: number | null;
  tailTdsPercent: number | null;
  tailNote: string;
  note: string;
  verdictReason: string;
  /** With what it was made; `null` in records older than this. */
  kit: BrewKitNames | null;
  hasTrace: boolean;
  fractions: (FractionDto & { place: number })[];
  readings: ReadingView[];
  /** The sheets that whoever asks may see. */
  tastings: TastingView[];
  /** How many of others wait at each stage until whoever asks has sent his own. */
  sealedSheets: Partial<Record<TastingStage, number>>;
  corrections: CorrectionView[];
  /** Comparisons that it counts for, with the place of its arm: 0 is A. */
  comparisons: { id: number; question: string; arm: number }[];
  /** Other brews of the same recipe, newest first, to lay beside this one. */
  siblings: BrewListItem[];
}
