import { Type } from 'class-transformer';
import { ArrayMaxSize, ArrayUnique, IsArray, IsBoolean, ValidateIf, ValidateNested } from 'class-validator';
import {
  SHEET,
  TASTED_FINDINGS,
  VESSELS,
  type AromaMoment,
  type Finding,
  type Intensity,
  type SheetOf,
  type TasterHabit,
  type TastingSheet,
  type Vessel,
} from '@vendu/core';
import { IsPlainObject, NumberBetween, OneOf, TextUpTo } from '../validation/decorators.js';

const isGiven = (_: object, value: unknown) => value !== null && value !== undefined;

/** A whole figure of a scale, or `null` where the taster did not say. */
function scored(label: string, { low, high }: { low: number; high: number }): PropertyDecorator {
  const range = NumberBetween({ label, unit: '', min: low, max: high, whole: true });
  const given = ValidateIf(isGiven);
  return (target, key) => {
    range(target, key);
    given(target, key);
  };
}
const intensity = (label: string) => scored(label, SHEET.intensity);
const liking = (label: string) => scored(`${label}, how well liked`, SHEET.liking);

/** Strength of each impression, 0 to 10; `null` where the taster did not say. */
export class IntensitiesDto implements Record<Intensity, number | null> {
  @intensity('Acidity') acidity: number | null = null;
  @intensity('Sweetness') sweetness: number | null = null;
  @intensity('Body') body: number | null = null;
  @intensity('Bitterness') bitterness: number | null = null;
  @intensity('Dryness') dryness: number | null = null;
  @intensity('Clarity') clarity: number | null = null;
  @intensity('Aftertaste') aftertaste: number | null = null;
}

/** How well each is liked, 1 to 9; `null` where the taster did not say. */
export class LikingsDto implements Record<Intensity, number | null> {
  @liking('Acidity') acidity: number | null = null;
  @liking('Sweetness') sweetness: number | null = null;
  @liking('Body') body: number | null = null;
  @liking('Bitterness') bitterness: number | null = null;
  @liking('Dryness') dryness: number | null = null;
  @liking('Clarity') clarity: number | null = null;
  @liking('Aftertaste') aftertaste: number | null = null;
}

export class AromasDto implements Record<AromaMoment, string> {
  @TextUpTo({ label: 'Aroma of the dry grounds', max: SHEET.longestAroma }) dry: string = '';
  @TextUpTo({ label: 'Aroma, swirled', max: SHEET.longestAroma }) swirled: string = '';
  @TextUpTo({ label: 'Aroma of the emptied cup', max: SHEET.longestAroma }) emptied: string = '';
}

/** One person's sheet of a brew at one stage; what is left out was not said. */
export class TastingDto implements TastingSheet {
  @TextUpTo({ label: 'Notes', max: SHEET.longestNotes })
  notes: string = '';

  @IsPlainObject()
  @ValidateNested()
  @Type(() => IntensitiesDto)
  intensities!: IntensitiesDto;

  @IsPlainObject()
  @ValidateNested()
  @Type(() => LikingsDto)
  likings: LikingsDto = new LikingsDto();

  @scored('Liked overall', SHEET.liking)
  overall: number | null = null;

  @IsPlainObject()
  @ValidateNested()
  @Type(() => AromasDto)
  aromas: AromasDto = new AromasDto();

  @ValidateIf(isGiven)
  @OneOf({ label: 'Vessel', values: VESSELS })
  vessel: Vessel | null = null;

  @IsArray({ message: 'Faults must be a list.' })
  @ArrayMaxSize(TASTED_FINDINGS.length, { message: 'Each fault is told once.' })
  @ArrayUnique({ message: 'Each fault is told once.' })
  @OneOf({ label: 'Fault', values: TASTED_FINDINGS }, { each: true })
  faults: Finding[] = [];

  @IsBoolean({ message: 'Spat must be yes or no.' })
  isSpat: boolean = false;
}

/** A sheet as it stands in the record. */
export interface TastingView extends SheetOf {
  sentAt: string;
  /** Its taster had seen another's of that stage before: it says little of agreement. */
  isAfterOthers: boolean;
  /** It was altered after others could be seen. */
  isAltered: boolean;
}

/** What somebody has had of caffeine by tasting in the last 24 hours, reckoned. */
export interface CaffeineView {
  mg: number;
  /** Of these, within the last hour. */
  lastHourMg: number;
  sheets: number;
}

/** How somebody reads beside those who tasted the same cups. */
export interface TasterView {
  personId: number;
  name: string;
  /** Written before another's was seen. */
  sheets: number;
  habits: TasterHabit[];
}
