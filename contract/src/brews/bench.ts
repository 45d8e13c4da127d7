import { Type } from 'class-transformer';
import { ArrayMaxSize, IsArray, IsBoolean, ValidateIf, ValidateNested } from 'class-validator';
import { BENCH_EVENTS, type BenchEvent, type BenchEventKind, type Trace } from '@vendu/core';
import { NumberBetween, OneOf, TextUpTo } from '../validation/decorators.js';

const isGiven = (_: object, value: unknown) => value !== null && value !== undefined;

export class BenchEventDto implements BenchEvent {
  @OneOf({ label: 'What happened', values: BENCH_EVENTS })
  kind!: BenchEventKind;

  @NumberBetween({ label: 'Time', unit: 's', min: 0, max: 7200 })
  atS!: number;

  @ValidateIf(isGiven)
  @NumberBetween({ label: 'Figure', unit: '', min: -5000, max: 5000 })
  figure: number | null = null;

  @TextUpTo({ label: 'Words', max: 300 })
  text: string = '';
}

/** Readings of the scale during a brew. Its samples are checked by core, which names the one that is wrong. */
export class TraceDto implements Trace {
  @IsArray({ message: 'Times of the trace must be a list.' })
  @ArrayMaxSize(36_000, { message: 'A trace takes at most 36,000 samples.' })
  atMs!: number[];

  @IsArray({ message: 'Masses of the trace must be a list.' })
  @ArrayMaxSize(36_000, { message: 'A trace takes at most 36,000 samples.' })
  massG!: number[];
}

/** Where and with what a brew was made, by the names things had then. */
export interface BrewKitNames {
  /** Left out in records older than this. */
  lab?: { name: string; place: string; elevationM: number; roomC: number };
  brewer: string;
  paper: string;
  grinder: string;
  grinderSetting: number | null;
  water: string | null;
  kettle: string | null;
  /** Empty where the brew was marked by hand. */
  scale: string;
}

/** A brew still on a bench. The state is the bench's own; the server keeps it and hands it back. */
export class RunningBrewDto {
  /** Counts the changes of this brew; an older one than the server has is left. */
  @NumberBetween({ label: 'Count of changes', unit: '', min: 1, max: 1_000_000, whole: true })
  seq!: number;

  @TextUpTo({ label: 'Lot', max: 120, required: true })
  lotName!: string;

  @TextUpTo({ label: 'Brewer', max: 120, required: true })
  brewerName!: string;

  @TextUpTo({ label: 'State', max: 100_000, required: true })
  state!: string;

  /** What the scale showed so far; `null` where there is none. */
  @ValidateIf(isGiven)
  @ValidateNested()
  @Type(() => TraceDto)
  trace: TraceDto | null = null;
}

export interface RunningBrewView {
  key: string;
  seq: number;
  lotName: string;
  brewerName: string;
  state: string;
  by: string;
  updatedAt: string;
}

export const HAZES = ['clear', 'slight', 'hazy'] as const;
export type Haze = (typeof HAZES)[number];

/** One cup of a split brew. */
export class FractionDto {
  @NumberBetween({ label: 'From', unit: 's', min: 0, max: 7200 })
  startS!: number;

  @NumberBetween({ label: 'To', unit: 's', min: 0, max: 7200 })
  endS!: number;

  @ValidateIf(isGiven)
  @NumberBetween({ label: 'Mass of the cup', unit: 'g', min: 0, max: 2000 })
  beverageG: number | null = null;

  @ValidateIf(isGiven)
  @NumberBetween({ label: 'Strength of the cup', unit: '%', min: 0, max: 20 })
  tdsPercent: number | null = null;

  @TextUpTo({ label: 'Colour', max: 60 })
  colour: string = '';

  @ValidateIf(isGiven)
  @OneOf({ label: 'Haze', values: HAZES })
  haze: Haze | null = null;

  @TextUpTo({ label: 'Notes', max: 300 })
  notes: string = '';

  @ValidateIf(isGiven)
  @IsBoolean({ message: 'Wanted must be yes or no.' })
  isWanted: boolean | null = null;
}

export class FractionsDto {
  @IsArray({ message: 'Cups must be a list.' })
  @ArrayMaxSize(20, { message: 'A brew is split into at most 20 cups.' })
  @ValidateNested({ each: true })
  @Type(() => FractionDto)
  fractions!: FractionDto[];
}

/** Mends what was marked for a step; the record keeps what was first marked. */
export class MendStepDto {
  @NumberBetween({ label: 'Revision', unit: '', min: 0, max: 1_000_000, whole: true })
  revision!: number;

  @NumberBetween({ label: 'Time', unit: 's', min: 0, max: 7200 })
  atS!: number;

  @ValidateIf(isGiven)
  @NumberBetween({ label: 'Total on the scale', unit: 'g', min: 0, max: 5000 })
  totalG: number | null = null;
}
