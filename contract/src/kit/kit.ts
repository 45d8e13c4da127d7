import type {
  BrewerBuild,
  BrewerGeometry,
  BrewerMeasures,
  BrewerShape,
  ExtractionWindow,
  MeasuredPoint,
  PaperBuild,
  Schools,
} from '@vendu/core';

export interface PaperView extends PaperBuild, Revised {
  name: string;
  /** Resistance of the wet paper, 1/m. */
  resistancePerM: number;
  /** Water to rinse it with, g. */
  rinseG: number;
}

export interface BrewerView extends BrewerMeasures, BrewerBuild, Revised {
  name: string;
  shape: BrewerShape;
  /** The outlet in words, as `3 holes of 6 mm`. */
  outlet: string;
  /** The usual paper. */
  paperId: number;
  paper: string;
  usualDoseG: number;
  /** Water the house pours into it at most, g. */
  capacityG: number;
  /** What the brew model needs of it with its usual paper. */
  geometry: BrewerGeometry;
  paperResistancePerM: number;
}

export interface GrinderView extends Revised {
  name: string;
  burrSet: string;
  /** Smallest step of its scale. */
  settingStep: number;
  points: MeasuredPoint[];
}

export interface KettleView extends Revised {
  name: string;
  /** Smallest step of its thermostat, C. */
  stepC: number;
  hasScale: boolean;
}

export interface WaterView extends Revised {
  name: string;
  origin: WaterOrigin;
  /** As CaCO3. */
  hardnessMgPerL: number;
  alkalinityMgPerL: number;
  mineralsMgPerL: number;
  mix: WaterMix | null;
}
export const WATER_ORIGINS = ['analysis', 'mixed'] as const;
export type WaterOrigin = (typeof WATER_ORIGINS)[number];

/** How a water is mixed from a base and two concentrates. */
export interface WaterMix {
  bottleL: number;
  base: { hardnessMgPerL: number; alkalinityMgPerL: number };
  concentrates: { name: string; hardnessPerG: number; alkalinityPerG: number; gPerL: number }[];
}

export const INSTRUMENT_KINDS = ['scale', 'refractometer', 'thermometer'] as const;
export type InstrumentKind = (typeof INSTRUMENT_KINDS)[number];

export interface ZeroCheckView {
  /** What the instrument showed where it should have shown nothing, in its own unit. */
  shown: number;
  by: string;
  at: string;
}

export interface InstrumentView extends Revised {
  kind: InstrumentKind;
  name: string;
  /** Smallest step it shows: g, % TDS or C. */
  resolution: number;
  zeroEveryDays: number;
  lastZero: ZeroCheckView | null;
  isZeroDue: boolean;
}

export interface HouseView {
  name: string;
  place: string;
  elevationM: number;
  roomC: number;
  window: ExtractionWindow;
  schools: Schools;
  revision: number;
}

export interface KitView {
  house: HouseView;
  brewers: BrewerView[];
  grinders: GrinderView[];
  papers: PaperView[];
  kettles: KettleView[];
  waters: WaterView[];
  instruments: InstrumentView[];
}

interface Revised {
  id: number;
  revision: number;
}
