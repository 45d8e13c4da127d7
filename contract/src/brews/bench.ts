import { Type } from 'class-transformer';
import { ArrayMaxSize, IsArray, IsBoolean, IsUUID, ValidateIf, ValidateNested } from 'class-validator';
import type { BrewEntry, Trace } from '@vendu/core';
import { IsPlainObject, NumberBetween, OneOf, TextUpTo } from '../validation/decorators.js';
import { BrewEntries } from './brewEntries.js';

const isGiven = (_: object, value: unknown) => value !== null && value !== undefined;

/**
 * Readings of the scale during a brew. Its samples are checked by core: a brew keeps those that can be, practice names
 * the one that is wrong.
 */
export class TraceDto implements Trace {
  @IsArray({ message: 'Times of the trace must be a list.' })
  atMs!: number[];

  @IsArray({ message: 'Masses of the trace must be a list.' })
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
  /** Of a second grind; left out where there was none. */
  secondSetting?: number;
  water: string | null;
  kettle: string | null;
  /** Empty where the brew was marked by hand. */
  scale: string;
}

/**
 * What is new of a brew still on a bench: entries of its log, and the state of the bench beside the log, which is the
 * bench's own; the server keeps it and hands it back.
 */
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

  /** What the server has not said that it has; sent again, an entry is kept once. */
  @BrewEntries()
  entries: BrewEntry[] = [];

  /** What the scale showed so far; `null` where there is none. */
  @ValidateIf(isGiven)
  @IsPlainObject()
  @ValidateNested()
  @Type(() => TraceDto)
  trace: TraceDto | null = null;

  /** Which device has the brew on its bench; another one is told, and may go on with it. */
  @ValidateIf(isGiven)
  @IsUUID('4', { message: 'The device is a UUID.' })
  device: string | null = null;

  /** The brew was another device's and is this one's from now on. */
  @IsBoolean({ message: 'Takes over must be yes or no.' })
  takesOver: boolean = false;
}

/** Which device clears a running brew off its bench. */
export class ClearRunningQueryDto {
  @ValidateIf(isGiven)
  @IsUUID('4', { message: 'The device is a UUID.' })
  device: string | null = null;
}

/** The secret of a feed, which the bench makes and the instrument is told. */
export class FeedKeyParam {
  @IsUUID('4', { message: 'The key of a feed is a UUID.' })
  key!: string;
}

export interface RunningBrewView {
  key: string;
  seq: number;
  lotName: string;
  brewerName: string;
  state: string;
  entries: BrewEntry[];
  by: string;
  updatedAt: string;
}

/** What the server has of a running brew. */
export interface RunningBrewKept {
  seq: number;
  /** To a device that takes a brew over, all that was told of it; empty to others, which know. */
  entries: BrewEntry[];
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
  @IsPlainObject({ each: true })
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
