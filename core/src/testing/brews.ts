import { TARGETS, type Targets } from '../aim/aim.js';
import { BREWER_CLASSES, PAPER_PER_M } from '../brewModel/hardware.js';
import { DEFAULT_LOT } from '../brewModel/simulateBrew.js';
import type { BrewModelInput } from '../brewModel/types.js';
import type { BrewKit } from '../calibration/conditions.js';
import type { BrewPlan } from '../plan/plan.js';

/** The golden brew: three pours in a cone, with the figures that a second program gave for it. */
export const GOLDEN_BREW: BrewModelInput = {
  doseG: 15,
  grind: { d50Um: 680 },
  kettleC: 96,
  pours: [
    { startS: 0, amountG: 50, flowGps: 5 },
    { startS: 30, amountG: 100, flowGps: 5 },
    { startS: 70, amountG: 100, flowGps: 5 },
  ],
  agitation: [{ atS: 10, kind: 'swirl' }],
  brewer: BREWER_CLASSES.cone,
  paperPerM: PAPER_PER_M.ordinary,
  lot: DEFAULT_LOT,
  ambientC: 22,
  elevationM: 0,
};

export const CONE_KIT: BrewKit = {
  brewer: BREWER_CLASSES.cone,
  paperPerM: PAPER_PER_M.ordinary,
  ambientC: 22,
  elevationM: 0,
};

/** A bloom with a swirl and two pours. */
export const PLAN: BrewPlan = {
  doseG: 15,
  kettleC: 93,
  grindUm: 700,
  drawdownS: 170,
  pours: [
    { startS: 0, amountG: 45, flowGps: 6, agitation: 'swirl', isBloom: true },
    { startS: 40, amountG: 100, flowGps: 6, agitation: 'none', isBloom: false },
    { startS: 80, amountG: 100, flowGps: 6, agitation: 'none', isBloom: false },
  ],
};

/** Windows about figures that are narrower than any house's: what repeated brews of one recipe scatter over. */
export function aimAround(
  figures: Partial<Record<'tdsPercent' | 'yieldPercent' | 'drawdownS', number>>,
): Targets {
  const half = { tdsPercent: 0.05, yieldPercent: 0.5, drawdownS: 12 };
  return Object.fromEntries(
    TARGETS.flatMap((figure) => {
      const value = figures[figure];
      return value === undefined ? [] : [[figure, { low: value - half[figure], high: value + half[figure] }]];
    }),
  );
}
