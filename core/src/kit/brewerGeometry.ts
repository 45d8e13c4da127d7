import { BREWER_CLASSES, bottomShareOf, figuresOf } from '../brewModel/hardware.js';
import type { BrewerGeometry } from '../brewModel/types.js';
import { waterDensityKgM3 } from '../water/density.js';
import type { BrewerShape, PaperFold, Ribs, WallMaterial } from '../vocabulary.js';

/** A brewer as a barista can measure it with a ruler, inside the wall. */
export interface BrewerMeasures {
  shape: BrewerShape;
  topDiameterMm: number;
  bottomDiameterMm: number;
  heightMm: number;
  outletDiameterMm: number;
  outletCount: number;
}

/** How a brewer is built, as far as somebody looked; `null` for what is usual in its class. */
export interface BrewerBuild {
  ribs: Ribs | null;
  wallMaterial: WallMaterial | null;
  /** `null` for what is usual of the material. */
  wallMm: number | null;
}

/** What of a paper decides how its brewer drains. */
export interface PaperBuild {
  fold: PaperFold | null;
}

/** What the classes were calibrated with (common practice). */
const USUAL_BUILD: Record<BrewerShape, { ribs: Ribs; fold: PaperFold }> = {
  cone: { ribs: 'full', fold: 'smooth' },
  'flat-bottom': { ribs: 'none', fold: 'pleated' },
  carafe: { ribs: 'none', fold: 'smooth' },
};

/** Share of the wall behind a smooth paper from which water finds a way down, by ribs; behind pleats all of it (assumed). */
const FREE_WALL: Record<Ribs, number> = { none: 0.4, 'part-way': 0.7, full: 1 };
/** Most of a wall that drains, whatever holds the paper off it (assumed). */
const MOST_WALL = 0.95;

/** Density, specific heat (textbook values, from memory) and usual thickness (common practice) of walls. */
const WALLS: Record<WallMaterial, { kgPerM3: number; heatJPerKgK: number; usualMm: number }> = {
  plastic: { kgPerM3: 1100, heatJPerKgK: 1500, usualMm: 2.5 },
  glass: { kgPerM3: 2230, heatJPerKgK: 830, usualMm: 3 },
  ceramic: { kgPerM3: 2400, heatJPerKgK: 900, usualMm: 5 },
  metal: { kgPerM3: 7900, heatJPerKgK: 500, usualMm: 0.8 },
};

/**
 * The geometry the model needs, from a ruler's figures and how brewer and paper are built. Where nobody looked, the
 * wall drains and takes warmth as in the brewer's class.
 *
 * @param paper - left out for the paper that is usual in the class
 */
export function brewerGeometry(
  {
    shape,
    topDiameterMm,
    bottomDiameterMm,
    heightMm,
    outletDiameterMm,
    outletCount,
    ...build
  }: BrewerMeasures & Partial<BrewerBuild>,
  paper: PaperBuild = { fold: null },
): BrewerGeometry {
  const ofClass = BREWER_CLASSES[shape];
  const bottomRadiusM = bottomDiameterMm / 2000;
  const heightM = heightMm / 1000;
  const freer = freeWall(shape, build.ribs ?? null, paper.fold) / freeWall(shape, null, null);
  const geometry = {
    ...ofClass,
    bottomRadiusM,
    heightM,
    wallSlope: Math.max(0, topDiameterMm / 2000 - bottomRadiusM) / heightM,
    outletAreaM2: outletCount * Math.PI * (outletDiameterMm / 2000) ** 2,
    bottomShare: bottomShareOf({ outletCount, outletRadiusM: outletDiameterMm / 2000, bottomRadiusM }),
    drainShare: Math.min(MOST_WALL, ofClass.drainShare * freer),
    openShare: Math.min(MOST_WALL, ofClass.openShare * freer),
  };
  return { ...geometry, heatCapacityJPerK: heatOf(geometry, build) };
}

function freeWall(shape: BrewerShape, ribs: Ribs | null, fold: PaperFold | null): number {
  const usual = USUAL_BUILD[shape];
  return (fold ?? usual.fold) === 'pleated' ? 1 : FREE_WALL[ribs ?? usual.ribs];
}

/** Warmth that the wall takes for each degree, J/K: its volume times what its material holds. */
function heatOf(geometry: BrewerGeometry, { wallMaterial, wallMm }: Partial<BrewerBuild>): number {
  if (!wallMaterial) return geometry.heatCapacityJPerK;
  const { kgPerM3, heatJPerKgK, usualMm } = WALLS[wallMaterial];
  const { outsideM2, bottomM2 } = figuresOf(geometry);
  return ((outsideM2 + bottomM2) * (wallMm ?? usualMm) * kgPerM3 * heatJPerKgK) / 1000;
}

/** The class itself, as a ruler would find it: what a form for a new brewer starts from. */
export function classMeasures(shape: BrewerShape): BrewerMeasures {
  const { bottomRadiusM, heightM, wallSlope, outletAreaM2 } = BREWER_CLASSES[shape];
  const outletCount = shape === 'flat-bottom' ? 3 : 1;
  const toMm = (m: number) => Math.round(m * 10_000) / 10;
  return {
    shape,
    topDiameterMm: toMm(2 * (bottomRadiusM + wallSlope * heightM)),
    bottomDiameterMm: toMm(2 * bottomRadiusM),
    heightMm: toMm(heightM),
    // The model's hole may be wider than its floor, where nothing but the paper holds the water back; a ruler's is not.
    outletDiameterMm: Math.min(
      toMm(2 * Math.sqrt(outletAreaM2 / outletCount / Math.PI)),
      toMm((2 * bottomRadiusM) / Math.sqrt(outletCount)),
    ),
    outletCount,
  };
}

/** Hot slurry, C, whose water fills the brewer to the brim. */
const SLURRY_C = 90;

/** Hot water a brewer holds to its rim, g: a frustum's volume. */
export function brimfulG({ topDiameterMm, bottomDiameterMm, heightMm }: BrewerMeasures): number {
  const [top, bottom] = [topDiameterMm / 2000, bottomDiameterMm / 2000];
  const volumeM3 = (Math.PI * (heightMm / 1000) * (top ** 2 + top * bottom + bottom ** 2)) / 3;
  return Math.round(volumeM3 * waterDensityKgM3({ temperatureC: SLURRY_C }) * 1000);
}
