import type { BrewerGeometry } from './types.js';
import type { BrewerShape } from '../vocabulary.js';

const CONE_SLOPE = Math.tan(Math.PI / 6);
const hole = (diameterM: number) => (Math.PI * diameterM ** 2) / 4;

/** How far around a hole the water under a paper finds its way to it, m (ass.). */
const OUTLET_REACH_M = 0.006;

/** Share of a bottom that drains: what lies around its outlets, for on the rest the paper lies tight. */
export function bottomShareOf({
  outletCount,
  outletRadiusM,
  bottomRadiusM,
}: {
  outletCount: number;
  outletRadiusM: number;
  bottomRadiusM: number;
}): number {
  return Math.min(1, (outletCount * (outletRadiusM + OUTLET_REACH_M) ** 2) / bottomRadiusM ** 2);
}

/**
 * Brewers of the three classes. Radii, slopes and heights assumed; drained and open shares calibrated on
 * brews of common practice (the open share prior-dominated, the carafe's assumed).
 */
export const BREWER_CLASSES: Record<BrewerShape, BrewerGeometry> = {
  cone: {
    bottomRadiusM: 0.01,
    wallSlope: CONE_SLOPE,
    heightM: 0.085,
    outletAreaM2: hole(0.018),
    bottomShare: 1,
    drainShare: 0.498,
    openShare: 0.0774,
    heatCapacityJPerK: 150,
    preheatC: 75,
  },
  'flat-bottom': {
    bottomRadiusM: 0.025,
    wallSlope: 0.45,
    heightM: 0.065,
    outletAreaM2: 3 * hole(0.0056),
    bottomShare: bottomShareOf({ outletCount: 3, outletRadiusM: 0.0028, bottomRadiusM: 0.025 }),
    drainShare: 0.6233,
    openShare: 0.1183,
    heatCapacityJPerK: 150,
    preheatC: 75,
  },
  carafe: {
    bottomRadiusM: 0.01,
    wallSlope: CONE_SLOPE,
    heightM: 0.12,
    outletAreaM2: hole(0.03),
    bottomShare: 1,
    drainShare: 0.6692,
    openShare: 0.04,
    heatCapacityJPerK: 250,
    preheatC: 75,
  },
};

/** Resistance of wet papers, 1/m (calibrated; posterior spread 25-37 %). */
export const PAPER_PER_M = { ordinary: 2.028e8, fast: 1.091e8, thick: 6.615e8 } as const;

/** How far up a brewer is filled, and its radius there. */
export interface Fill {
  radiusM: number;
  heightM: number;
}

/** Radius and height to which a volume fills a frustum; `wallSlope` may be 0. */
export function fillOf({ bottomRadiusM, wallSlope }: BrewerGeometry, volumeM3: number): Fill {
  if (wallSlope < 1e-9) return { radiusM: bottomRadiusM, heightM: volumeM3 / (Math.PI * bottomRadiusM ** 2) };
  const radiusM = Math.cbrt(
    bottomRadiusM * bottomRadiusM * bottomRadiusM + (3 * wallSlope * volumeM3) / Math.PI,
  );
  return { radiusM, heightM: (radiusM - bottomRadiusM) / wallSlope };
}

/** Figures of a brewer that every step needs. */
export interface BrewerFigures {
  bottomM2: number;
  /** Length of the wall per height. */
  slant: number;
  outsideM2: number;
}

export function figuresOf({ bottomRadiusM, wallSlope, heightM }: BrewerGeometry): BrewerFigures {
  const slant = Math.sqrt(1 + wallSlope ** 2);
  return {
    bottomM2: Math.PI * bottomRadiusM ** 2,
    slant,
    outsideM2: Math.PI * (2 * bottomRadiusM + heightM * wallSlope) * heightM * slant,
  };
}
