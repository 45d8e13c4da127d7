import { Type } from 'class-transformer';
import { ArrayMaxSize, ArrayMinSize, IsArray, IsBoolean, ValidateIf, ValidateNested } from 'class-validator';
import {
  BREWER_SHAPES,
  FEEDER_KINDS,
  PAPER_BODIES,
  PAPER_FOLDS,
  PAPER_SEATINGS,
  RIBS,
  WALL_MATERIALS,
  type BrewerShape,
  type FeederKind,
  type GrinderWord,
  type PaperBody,
  type PaperFold,
  type PaperSeating,
  type Ribs,
  type StatedPair,
  type WallMaterial,
} from '@vendu/core';
import { IsPlainObject, NumberBetween, OneOf, TextUpTo } from '../validation/decorators.js';
import {
  INSTRUMENT_KINDS,
  WATER_ORIGINS,
  type InstrumentKind,
  type WaterMix,
  type WaterOrigin,
} from './kit.js';

const isGiven = (_: object, value: unknown) => value !== null && value !== undefined;
const id = (label: string) => NumberBetween({ label, unit: '', min: 1, max: 2_147_483_647, whole: true });

/** A change of something stored carries the revision it was read at; a new thing carries none. */
class RevisedDto {
  @ValidateIf(isGiven)
  @NumberBetween({ label: 'Revision', unit: '', min: 0, max: 1_000_000, whole: true })
  revision: number | null = null;
}

export class PaperDto extends RevisedDto {
  @TextUpTo({ label: 'Name', max: 120, required: true })
  name!: string;

  @NumberBetween({ label: 'Resistance', unit: '1/m', min: 1e7, max: 5e9 })
  resistancePerM!: number;

  @NumberBetween({ label: 'Rinse water', unit: 'g', min: 0, max: 2000, whole: true })
  rinseG!: number;

  /** `null` where nobody looked. */
  @ValidateIf(isGiven)
  @OneOf({ label: 'Fold', values: PAPER_FOLDS })
  fold: PaperFold | null = null;

  /** `null` where a hand does. */
  @ValidateIf(isGiven)
  @OneOf({ label: 'Kept in place', values: PAPER_SEATINGS })
  seating: PaperSeating | null = null;

  @ValidateIf(isGiven)
  @OneOf({ label: 'Body', values: PAPER_BODIES })
  body: PaperBody | null = null;

  @ValidateIf(isGiven)
  @IsBoolean({ message: 'Bleached must be yes or no.' })
  isBleached: boolean | null = null;

  @ValidateIf(isGiven)
  @NumberBetween({ label: 'Soaking', unit: 'min', min: 1, max: 2880, whole: true })
  soakMin: number | null = null;
}

export class BrewerDto extends RevisedDto {
  @TextUpTo({ label: 'Name', max: 120, required: true })
  name!: string;

  @OneOf({ label: 'Shape', values: BREWER_SHAPES })
  shape!: BrewerShape;

  @NumberBetween({ label: 'Top diameter', unit: 'mm', min: 20, max: 300 })
  topDiameterMm!: number;

  @NumberBetween({ label: 'Bottom diameter', unit: 'mm', min: 4, max: 300 })
  bottomDiameterMm!: number;

  @NumberBetween({ label: 'Height', unit: 'mm', min: 10, max: 400 })
  heightMm!: number;

  @NumberBetween({ label: 'Outlet diameter', unit: 'mm', min: 0.5, max: 100 })
  outletDiameterMm!: number;

  @NumberBetween({ label: 'Outlets', unit: '', min: 1, max: 60, whole: true })
  outletCount!: number;

  /** `null` where nobody looked: as usual for its kind. */
  @ValidateIf(isGiven)
  @OneOf({ label: 'Ribs', values: RIBS })
  ribs: Ribs | null = null;

  @ValidateIf(isGiven)
  @OneOf({ label: 'Wall', values: WALL_MATERIALS })
  wallMaterial: WallMaterial | null = null;

  @ValidateIf(isGiven)
  @NumberBetween({ label: 'Wall thickness', unit: 'mm', min: 0.2, max: 20 })
  wallMm: number | null = null;

  @id('Paper')
  paperId!: number;

  @NumberBetween({ label: 'Usual dose', unit: 'g', min: 5, max: 120 })
  usualDoseG!: number;

  @NumberBetween({ label: 'Most water', unit: 'g', min: 50, max: 5000, whole: true })
  capacityG!: number;

  @IsBoolean({ message: 'Has a valve must be yes or no.' })
  hasValve: boolean = false;

  @ValidateIf(isGiven)
  @NumberBetween({ label: 'Maker advises from', unit: '°C', min: 60, max: 100 })
  advisedLowC: number | null = null;

  @ValidateIf(isGiven)
  @NumberBetween({ label: 'Maker advises to', unit: '°C', min: 60, max: 100 })
  advisedHighC: number | null = null;

  /** The brewer of which this is another bottom: all but the bottom is then taken from there. */
  @ValidateIf(isGiven)
  @id('Bottom of')
  bodyOfId: number | null = null;
}

export class MeasuredPointDto {
  @NumberBetween({ label: 'Setting', unit: '', min: -1000, max: 10_000 })
  setting!: number;

  @NumberBetween({ label: 'Size', unit: 'µm', min: 20, max: 5000 })
  grindUm!: number;

  /** Standard uncertainty; 5 % of the size where nobody knows. */
  @ValidateIf((_, value) => value !== undefined)
  @NumberBetween({ label: 'Uncertainty', unit: 'µm', min: 0.1, max: 2000 })
  sdUm?: number;
}

const MOST_POINTS = 40;
const MOST_WORDS = 12;

const setting = (label: string) => NumberBetween({ label, unit: '', min: -1000, max: 10_000 });

export class GrinderWordDto implements GrinderWord {
  @TextUpTo({ label: 'Word', max: 40, required: true })
  word!: string;

  @setting('From')
  fromSetting!: number;

  @setting('To')
  toSetting!: number;
}

export class GrinderDto extends RevisedDto {
  @TextUpTo({ label: 'Name', max: 120, required: true })
  name!: string;

  @TextUpTo({ label: 'Burr set', max: 120, required: true })
  burrSet!: string;

  @TextUpTo({ label: 'Owner', max: 120 })
  owner: string = '';

  @NumberBetween({ label: 'Setting step', unit: '', min: 0.01, max: 100 })
  settingStep!: number;

  @IsArray({ message: 'Points must be a list.' })
  @ArrayMinSize(2, { message: 'A grinder needs points at two settings or more.' })
  @ArrayMaxSize(MOST_POINTS, { message: `A grinder takes at most ${MOST_POINTS} points.` })
  @IsPlainObject({ each: true })
  @ValidateNested({ each: true })
  @Type(() => MeasuredPointDto)
  points!: MeasuredPointDto[];

  @ValidateIf(isGiven)
  @setting('Finest setting')
  finestSetting: number | null = null;

  @ValidateIf(isGiven)
  @setting('Coarsest setting')
  coarsestSetting: number | null = null;

  @ValidateIf(isGiven)
  @NumberBetween({ label: 'Ground so far', unit: 'kg', min: 0, max: 100_000 })
  burrsKg: number | null = null;

  @ValidateIf(isGiven)
  @NumberBetween({ label: 'Retained', unit: 'g', min: 0, max: 50 })
  retainedG: number | null = null;

  @IsArray({ message: 'Words must be a list.' })
  @ArrayMaxSize(MOST_WORDS, { message: `A grinder takes at most ${MOST_WORDS} words.` })
  @IsPlainObject({ each: true })
  @ValidateNested({ each: true })
  @Type(() => GrinderWordDto)
  words: GrinderWordDto[] = [];
}

export class SieveDto extends RevisedDto {
  @TextUpTo({ label: 'Name', max: 120, required: true })
  name!: string;

  @NumberBetween({ label: 'Holes', unit: 'µm', min: 100, max: 1000, whole: true })
  holesUm!: number;
}

export class FeederDto extends RevisedDto {
  @OneOf({ label: 'Kind', values: FEEDER_KINDS })
  kind!: FeederKind;

  @TextUpTo({ label: 'Name', max: 120, required: true })
  name!: string;

  @ValidateIf(isGiven)
  @NumberBetween({ label: 'Hole', unit: 'mm', min: 0.1, max: 50 })
  holeMm: number | null = null;

  @ValidateIf(isGiven)
  @NumberBetween({ label: 'Holds', unit: 'g', min: 1, max: 5000, whole: true })
  holdsG: number | null = null;

  @ValidateIf(isGiven)
  @NumberBetween({ label: 'Lets through', unit: 'g/s', min: 0.5, max: 25 })
  flowGps: number | null = null;
}

export class StatedSettingDto extends RevisedDto implements StatedPair {
  @id('Grinder')
  grinderId!: number;

  @setting('Setting')
  setting!: number;

  @id('Other grinder')
  otherGrinderId!: number;

  @setting('Setting of the other')
  otherSetting!: number;

  @TextUpTo({ label: 'Who says so', max: 120, required: true })
  source!: string;
}

export class KettleDto extends RevisedDto {
  @TextUpTo({ label: 'Name', max: 120, required: true })
  name!: string;

  @NumberBetween({ label: 'Step', unit: '°C', min: 0.1, max: 10 })
  stepC!: number;

  @IsBoolean({ message: 'Has a scale must be yes or no.' })
  hasScale!: boolean;

  @ValidateIf(isGiven)
  @NumberBetween({ label: 'Pours at most', unit: 'g/s', min: 1, max: 60 })
  mostFlowGps: number | null = null;

  @ValidateIf(isGiven)
  @NumberBetween({ label: 'Holds within', unit: '°C', min: 0.1, max: 10 })
  holdsWithinC: number | null = null;

  @ValidateIf(isGiven)
  @IsBoolean({ message: 'Lid stays open must be yes or no.' })
  lidStaysOpen: boolean | null = null;
}

class WaterBaseDto {
  @NumberBetween({ label: 'Hardness of the base', unit: 'mg/L', min: 0, max: 1000 })
  hardnessMgPerL!: number;

  @NumberBetween({ label: 'Alkalinity of the base', unit: 'mg/L', min: 0, max: 1000 })
  alkalinityMgPerL!: number;
}

class ConcentrateDto {
  @TextUpTo({ label: 'Name of the concentrate', max: 120, required: true })
  name!: string;

  @NumberBetween({ label: 'Hardness per gram', unit: 'mg/L', min: 0, max: 5000 })
  hardnessPerG!: number;

  @NumberBetween({ label: 'Alkalinity per gram', unit: 'mg/L', min: 0, max: 5000 })
  alkalinityPerG!: number;

  @NumberBetween({ label: 'Grams per litre', unit: 'g', min: 0, max: 50 })
  gPerL!: number;
}

export class WaterMixDto implements WaterMix {
  @NumberBetween({ label: 'Bottle', unit: 'L', min: 0.1, max: 1000 })
  bottleL!: number;

  @IsPlainObject()
  @ValidateNested()
  @Type(() => WaterBaseDto)
  base!: WaterBaseDto;

  @IsArray({ message: 'Concentrates must be a list.' })
  @ArrayMinSize(2, { message: 'A mixed water takes two concentrates.' })
  @ArrayMaxSize(2, { message: 'A mixed water takes two concentrates.' })
  @IsPlainObject({ each: true })
  @ValidateNested({ each: true })
  @Type(() => ConcentrateDto)
  concentrates!: ConcentrateDto[];
}

export class WaterDto extends RevisedDto {
  @TextUpTo({ label: 'Name', max: 120, required: true })
  name!: string;

  @OneOf({ label: 'Origin', values: WATER_ORIGINS })
  origin!: WaterOrigin;

  @NumberBetween({ label: 'Hardness', unit: 'mg/L', min: 0, max: 1000 })
  hardnessMgPerL!: number;

  @NumberBetween({ label: 'Alkalinity', unit: 'mg/L', min: 0, max: 1000 })
  alkalinityMgPerL!: number;

  @NumberBetween({ label: 'Total minerals', unit: 'mg/L', min: 0, max: 3000 })
  mineralsMgPerL!: number;

  @ValidateIf((_, value) => value !== null)
  @IsPlainObject()
  @ValidateNested()
  @Type(() => WaterMixDto)
  mix: WaterMixDto | null = null;
}

export class InstrumentDto extends RevisedDto {
  @OneOf({ label: 'Kind', values: INSTRUMENT_KINDS })
  kind!: InstrumentKind;

  @TextUpTo({ label: 'Name', max: 120, required: true })
  name!: string;

  @NumberBetween({ label: 'Resolution', unit: '', min: 0.001, max: 10 })
  resolution!: number;

  @NumberBetween({ label: 'Zero check every', unit: 'days', min: 1, max: 365, whole: true })
  zeroEveryDays!: number;
}

export class ZeroCheckDto {
  @NumberBetween({ label: 'Shown', unit: '', min: -100, max: 200 })
  shown!: number;
}
