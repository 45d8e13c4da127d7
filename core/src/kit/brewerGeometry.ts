import { BREWER_CLASSES, bottomShareOf } from '../brewModel/hardware.js';
import type { BrewerGeometry } from '../brewModel/types.js';
import { waterDensityKgM3 } from '../water/density.js';
import type { BrewerShape } from '../vocabulary.js';

/** A brewer as a barista can measure it with a ruler, inside the wall. */
export interface BrewerMeasures {
  shape: BrewerShape;
  topDiameterMm: number;
  bottomDiameterMm: number;
  heightMm: number;
  outletDiameterMm: number;
  outletCount: number;
}

/**
 * The geometry the model needs, from a ruler's figures. How much of the wall drains and how much warmth the
 * wall takes are those of the brewer's class: nobody measures them.
 */
export function brewerGeometry({
  shape,
  topDiameterMm,
  bottomDiameterMm,
  heightMm,
  outletDiameterMm,
  outletCount,
}: BrewerMeasures): BrewerGeometry {
  const bottomRadiusM = bottomDiameterMm / 2000;
  const heightM = heightMm / 1000;
  return {
    ...BREWER_CLASSES[shape],
    bottomRadiusM,
    heightM,
    wallSlope: Math.max(0, topDiameterMm / 2000 - bottomRadiusM) / heightM,
    outletAreaM2: outletCount * Math.PI * (outletDiameterMm / 2000) ** 2,
    bottomShare: bottomShareOf({ outletCount, outletRadiusM: outletDiameterMm / 2000, bottomRadiusM }),
  };
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
