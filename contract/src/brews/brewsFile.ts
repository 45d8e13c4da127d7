import { Type } from 'class-transformer';
import { ArrayMaxSize, ArrayMinSize, IsArray, IsISO8601, ValidateIf, ValidateNested } from 'class-validator';
import {
  CalendarDate,
  IsPlainObject,
  NumberBetween,
  TextUpTo,
  type NumberRange,
} from '../validation/decorators.js';

const MOST_BREWS = 500;
const MOST_READINGS = 10;

const isGiven = (_: unknown, value: unknown) => value !== null;

/** What a line of a table may say of a brew, with its bounds; for page and server alike. */
export const BREW_IN_FILE = {
  number: { label: 'Brew', unit: '', min: 1, max: 100_000, whole: true },
  version: { label: 'Version', unit: '', min: 1, max: 100_000, whole: true },
  doseG: { label: 'Dose', unit: 'g', min: 5, max: 120 },
  waterG: { label: 'Water poured', unit: 'g', min: 20, max: 5000 },
  beverageG: { label: 'Beverage', unit: 'g', min: 10, max: 5000 },
  drainS: { label: 'Drain time', unit: 's', min: 10, max: 1800 },
} as const satisfies Record<string, NumberRange>;

/** A brew that was written down elsewhere; `null` for what nobody wrote down. */
export class BrewInFileDto {
  /** The brew of the lot that was read; `null` where the line tells a brew of its own. */
  @ValidateIf(isGiven)
  @NumberBetween(BREW_IN_FILE.number)
  number: number | null = null;

  /** When it was begun; only of a brew of its own. */
  @ValidateIf(isGiven)
  @IsISO8601({ strict: true }, { message: 'Brewed must be a date, with or without a time.' })
  brewedAt: string | null = null;

  /** The batch that it was brewed of; `null` for the last one roasted until then. */
  @ValidateIf(isGiven)
  @CalendarDate({ label: 'Roasted' })
  roastedOn: string | null = null;

  /** `null` for the newest version of its recipe. */
  @ValidateIf(isGiven)
  @NumberBetween(BREW_IN_FILE.version)
  version: number | null = null;

  @ValidateIf(isGiven)
  @NumberBetween(BREW_IN_FILE.doseG)
  doseG: number | null = null;

  @ValidateIf(isGiven)
  @NumberBetween(BREW_IN_FILE.waterG)
  waterG: number | null = null;

  @ValidateIf(isGiven)
  @NumberBetween(BREW_IN_FILE.beverageG)
  beverageG: number | null = null;

  @ValidateIf(isGiven)
  @NumberBetween(BREW_IN_FILE.drainS)
  drainS: number | null = null;

  /** Percent; core knows a slipped decimal point when it sees one. */
  @IsArray({ message: 'Readings must be a list.' })
  @ArrayMaxSize(MOST_READINGS, { message: `At most ${MOST_READINGS} readings of one brew.` })
  @NumberBetween({ label: 'Reading', unit: '%', min: 0, max: 30 }, { each: true })
  tdsPercents: number[] = [];

  @TextUpTo({ label: 'Note', max: 500 })
  note: string = '';
}

/** Brews of one recipe from a table, all taken in or none. */
export class BrewsFileDto {
  @NumberBetween({ label: 'Recipe', unit: '', min: 1, max: 2_147_483_647, whole: true })
  recipeId!: number;

  @IsArray({ message: 'Brews must be a list.' })
  @ArrayMinSize(1, { message: 'There is no brew to add.' })
  @ArrayMaxSize(MOST_BREWS, { message: `At most ${MOST_BREWS} brews at a time.` })
  @IsPlainObject({ each: true })
  @ValidateNested({ each: true })
  @Type(() => BrewInFileDto)
  brews!: BrewInFileDto[];
}

/** What became of a table. */
export interface BrewsFileTaken {
  brews: number;
  readings: number;
  /** Lines that said what was here already. */
  known: number;
}
