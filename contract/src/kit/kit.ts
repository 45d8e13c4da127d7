import type {
  BrewerBuild,
  BrewerGeometry,
  BrewerMeasures,
  BrewerShape,
  ExtractionWindow,
  FeederKind,
  GrinderWord,
  MeasuredPoint,
  PaperBody,
  PaperSeating,
  PaperBuild,
  ProofChecklist,
  Schools,
  StatedPair,
} from '@vendu/core';

export interface PaperView extends PaperBuild, Revised {
  name: string;
  /** Resistance of the wet paper, 1/m. */
  resistancePerM: number;
  /** Water to rinse it with, g. */
  rinseG: number;
  /** What keeps it in place; `null` where a hand does. */
  seating: PaperSeating | null;
  /** How much body it lets through; `null` where nobody judged it. */
  body: PaperBody | null;
  isBleached: boolean | null;
  /** How long it lies in water before it is used, min; `null` where it is not soaked. */
  soakMin: number | null;
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
  /** A valve in its bottom holds the water back. */
  hasValve: boolean;
  /** Kettle that its maker advises, C. */
  advisedLowC: number | null;
  advisedHighC: number | null;
  /** The brewer of which this is another bottom; `null` of a brewer of its own. */
  bodyOfId: number | null;
}

export interface GrinderView extends Revised {
  name: string;
  burrSet: string;
  /** Whose it is, where it is not the lab's: as its owner describes it. */
  owner: string;
  /** Smallest step of its scale. */
  settingStep: number;
  points: MeasuredPoint[];
  /** Where its scale begins and ends; `null` where nobody looked. */
  finestSetting: number | null;
  coarsestSetting: number | null;
  /** What has gone through its burrs, kg. */
  burrsKg: number | null;
  /** What stays in it of a dose, g. */
  retainedG: number | null;
  /** What its settings are called. */
  words: GrinderWord[];
}

export interface SieveView extends Revised {
  name: string;
  holesUm: number;
}

/** A flow regulator or a shower plate. */
export interface FeederView extends Revised {
  kind: FeederKind;
  name: string;
  holeMm: number | null;
  /** What it holds above its hole, g. */
  holdsG: number | null;
  /** Most that it lets through, g/s: of a regulator. */
  flowGps: number | null;
}

/** Somebody's word that a setting of one grinder is a setting of another. */
export interface StatedSettingView extends StatedPair, Revised {
  grinderId: number;
  otherGrinderId: number;
  source: string;
}

export interface KettleView extends Revised {
  name: string;
  /** Smallest step of its thermostat, C. */
  stepC: number;
  hasScale: boolean;
  /** Most that it pours, g/s; `null` where nobody tried. */
  mostFlowGps: number | null;
  /** Its thermostat lets the water swing by so much, C either way. */
  holdsWithinC: number | null;
  lidStaysOpen: boolean | null;
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
  /** What a version has to show before it is signed off, where its recipe says nothing else. */
  checklist: ProofChecklist;
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
  sieves: SieveView[];
  feeders: FeederView[];
  statedSettings: StatedSettingView[];
}

interface Revised {
  id: number;
  revision: number;
}
