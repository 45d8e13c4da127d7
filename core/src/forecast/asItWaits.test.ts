import { describe, expect, it } from 'vitest';
import { simulateBrew, DEFAULT_LOT } from '../brewModel/simulateBrew.js';
import { conditionsOfPlan } from '../calibration/conditions.js';
import { pourEndS, type BrewPlan } from '../plan/plan.js';
import { valueOf } from '../result.js';
import { CONE_KIT } from '../testing/brews.js';
import type { PourTrigger } from '../vocabulary.js';
import { asItWaits } from './asItWaits.js';
import { forecastPlan } from './forecastPlan.js';

const PLAIN = { solubility: 1, rate: 1, flow: 1, retained: 1, steepness: 1 };
const pour = (startS: number, amountG: number, startsWhen?: PourTrigger) => ({
  startS,
  amountG,
  flowGps: 8,
  agitation: 'none' as const,
  isBloom: startS === 0,
  ...(startsWhen === undefined ? {} : { startsWhen }),
});
const plan = (startsWhen?: PourTrigger, grindUm = 700): BrewPlan => ({
  doseG: 16,
  kettleC: 94,
  grindUm,
  pours: [pour(0, 120), pour(40, 100, startsWhen), pour(45 + 100 / 8, 30)],
  drawdownS: 240,
});
const starts = (of: BrewPlan, factors = PLAIN) =>
  asItWaits({ plan: of, kit: CONE_KIT, factors }).pours.map(({ startS }) => startS);

describe('a pour that waits, in the forecast', () => {
  it('goes by the clock where it does not wait', () => {
    const byClock = plan();
    expect(asItWaits({ plan: byClock, kit: CONE_KIT, factors: PLAIN })).toBe(byClock);
  });

  it('begins when no water stands on the bed any more, as the model drains the pours before it', () => {
    const first = { ...plan(), pours: [pour(0, 120)] };
    const alone = valueOf(
      simulateBrew({ ...conditionsOfPlan({ plan: first, kit: CONE_KIT }), lot: DEFAULT_LOT }),
    );
    expect(starts(plan('bed-shows'))[1]).toBe(Math.round(alone.drawdownS ?? 0));
    expect(starts(plan('through'))[1]).toBe(Math.round(alone.series.atS.at(-1) ?? 0));
    expect(starts(plan('through'))[1]).toBeGreaterThan(starts(plan('bed-shows'))[1] ?? 0);
  });

  it('waits longer for a finer grind and for a lot that clogs', () => {
    const usual = starts(plan('bed-shows'))[1] ?? 0;
    expect(starts(plan('bed-shows', 550))[1]).toBeGreaterThan(usual);
    expect(starts(plan('bed-shows'), { ...PLAIN, flow: 1.8 })[1]).toBeGreaterThan(usual);
  });

  it('pushes what comes after it by the clock, and never begins before the pour before it is in', () => {
    const { pours } = asItWaits({ plan: plan('through'), kit: CONE_KIT, factors: PLAIN });
    for (const [index, each] of pours.slice(1).entries()) {
      const before = pours[index];
      expect(each.startS).toBeGreaterThanOrEqual(before ? pourEndS(before) : 0);
    }
    expect(pours[2]?.startS).toBe(Math.ceil(pours[1] ? pourEndS(pours[1]) : 0));
  });

  it('drains later than the same plan by the clock, where the clock pours before the bed shows', () => {
    const drained = (of: BrewPlan) => valueOf(forecastPlan({ plan: of, kit: CONE_KIT })).drawdownS ?? 0;
    expect(starts(plan('bed-shows'))[1]).toBeGreaterThan(40);
    expect(drained(plan('bed-shows'))).toBeGreaterThan(drained(plan()));
  });
});
