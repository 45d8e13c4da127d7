import { ValidateIf } from 'class-validator';
import { SCHOOLS, type Aim, type ExtractionWindow, type SchoolPoint, type Schools } from '@vendu/core';
import { NumberBetween, OneOf, TextUpTo } from '../validation/decorators.js';

const isGiven = (_: object, value: unknown) => value !== null && value !== undefined;

/** Strength and yield to aim at. */
export class WindowDto implements ExtractionWindow {
  @NumberBetween({ label: 'Strength from', unit: '%', min: 0.5, max: 3 })
  tdsLowPercent!: number;

  @NumberBetween({ label: 'Strength to', unit: '%', min: 0.5, max: 3 })
  tdsHighPercent!: number;

  @NumberBetween({ label: 'Yield from', unit: '%', min: 10, max: 30 })
  yieldLowPercent!: number;

  @NumberBetween({ label: 'Yield to', unit: '%', min: 10, max: 30 })
  yieldHighPercent!: number;
}

/** What one recipe aims at: a window, and a drain time where one is wanted. */
export class AimDto extends WindowDto implements Aim {
  @ValidateIf(isGiven)
  @NumberBetween({ label: 'Drain time from', unit: 's', min: 20, max: 1800, whole: true })
  drainLowS?: number | null = null;

  @ValidateIf(isGiven)
  @NumberBetween({ label: 'Drain time to', unit: 's', min: 20, max: 1800, whole: true })
  drainHighS?: number | null = null;
}

export class HouseDto extends WindowDto {
  @ValidateIf(isGiven)
  @NumberBetween({ label: 'Revision', unit: '', min: 0, max: 1_000_000, whole: true })
  revision: number | null = null;

  @TextUpTo({ label: 'Name', max: 120, required: true })
  name!: string;

  @TextUpTo({ label: 'Place', max: 120 })
  place!: string;

  @NumberBetween({ label: 'Elevation', unit: 'm', min: -400, max: 5000, whole: true })
  elevationM!: number;

  @NumberBetween({ label: 'Room', unit: '°C', min: 5, max: 45 })
  roomC!: number;
}

const stand = (point: SchoolPoint, label: string) => OneOf({ label, values: SCHOOLS[point] });

/** A stand on each disputed point. */
export class StandsDto implements Schools {
  @stand('bloom', 'Bloom')
  bloom!: Schools['bloom'];

  @stand('length', 'Length')
  length!: Schools['length'];

  @stand('agitation', 'Agitation')
  agitation!: Schools['agitation'];

  @stand('style', 'Style')
  style!: Schools['style'];

  @stand('first-lever', 'First lever')
  'first-lever'!: Schools['first-lever'];

  @stand('pour-when', 'When to pour')
  'pour-when'!: Schools['pour-when'];

  @stand('pour-where', 'Where to pour')
  'pour-where'!: Schools['pour-where'];

  @stand('end', 'End')
  end!: Schools['end'];

  @stand('fines', 'Fines')
  fines!: Schools['fines'];

  @stand('aim', 'Aims')
  aim!: Schools['aim'];

  @stand('dilution', 'Dilution')
  dilution!: Schools['dilution'];

  @stand('swirls', 'Swirls')
  swirls!: Schools['swirls'];
}

/** The house's own stands. */
export class SchoolsDto extends StandsDto {
  @NumberBetween({ label: 'Revision', unit: '', min: 0, max: 1_000_000, whole: true })
  revision!: number;
}
