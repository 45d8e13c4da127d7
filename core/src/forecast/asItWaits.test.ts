import { describe, expect, it } from 'vitest';
import { simulateBrew, DEFAULT_LOT } from '../brewModel/simulateBrew.js';
import { conditionsOfPlan } from '../calibration/conditions.js';
import { pourEndS, type BrewPlan } from '../plan/plan.js';
import { valueOf } from '../result.js';
import { CONE_KIT } from '../testing/brews.js';
import type { PourTrigger } from '../vocabulary.js';
import type { BenchEvent } from '../bench/benchEvents.js';
import { calibrateLot } from '../calibration/calibrateLot.js';
import { proposeChange } from '../change/proposeChange.js';
import { forgiveness } from '../forgiveness/forgiveness.js';
import { asItWaits } from './asItWaits.js';
import { brewAsGoing } from './brewAsGoing.js';
import { scalePlan } from './scalePlan.js';
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

describe('a pour that waits for a level', () => {
  const at = (levelMm: number) => ({
    ...plan(),
    pours: [pour(0, 120), { ...pour(40, 100, 'level'), levelMm }, pour(53, 30)],
  });

  it('begins the sooner the higher the water may stand, and never after the bed shows', () => {
    const [low, high] = [starts(at(4))[1] ?? 0, starts(at(12))[1] ?? 0];
    expect(high).toBeLessThan(low);
    expect(low).toBeLessThanOrEqual(starts(plan('bed-shows'))[1] ?? 0);
    expect(high).toBeGreaterThanOrEqual(120 / 8);
  });

  it('begins as soon as the pour before it is in where the water never stands so high', () => {
    expect(starts(at(60))[1]).toBe(15);
  });
});

describe('what else is told of a plan whose pours wait', () => {
  const waiting = plan('through');
  const asWaited = asItWaits({ plan: waiting, kit: CONE_KIT, factors: PLAIN });

  it('is told of it as it is expected to be brewed, not of its times on the clock', () => {
    expect(asWaited.pours[1]?.startS).toBeGreaterThan(60);
    const told = (of: BrewPlan) => valueOf(forgiveness({ plan: of, kit: CONE_KIT, count: 40 }));
    expect(told(waiting).drawdownS.mean).toBeCloseTo(told(asWaited).drawdownS.mean, 6);
    expect(told(waiting).drawdownS.mean).toBeGreaterThan(told(plan()).drawdownS.mean + 10);
  });

  it('is scaled with the times at which the larger brew will go on', () => {
    const scaled = valueOf(scalePlan({ plan: waiting, kit: CONE_KIT, doseG: 22 })).plan;
    expect(scaled.pours[1]).toMatchObject({ startsWhen: 'through' });
    expect(scaled.pours[1]?.startS).toBe(
      asItWaits({ plan: scaled, kit: CONE_KIT, factors: PLAIN }).pours[1]?.startS,
    );
    expect(scaled.drawdownS).toBeGreaterThan(pourEndS(scaled.pours[2] ?? scaled.pours[0]!));
  });

  it('is proposed at the times to expect', () => {
    const { changes } = valueOf(
      proposeChange({
        plan: waiting,
        kit: CONE_KIT,
        calibration: valueOf(calibrateLot({ brews: [] })),
        targets: { tdsPercent: { low: 1.3, high: 1.5 } },
        limits: { finestUm: 450, coarsestUm: 1200, hottestC: 99, coolestC: 85 },
      }),
    );
    const finer = changes.find(({ moves }) =>
      moves.every(({ lever, to, from }) => lever === 'grind' && to < from),
    );
    expect(finer?.plan.pours[1]?.startS).toBeGreaterThan(asWaited.pours[1]?.startS ?? 0);
  });

  it('is expected of a brew under way from what was done so far', () => {
    const going = (events: BenchEvent[]) =>
      brewAsGoing(
        { plan: waiting, steps: [{ stepIndex: 0, atS: 0, skipped: false, totalG: 120 }], events },
        CONE_KIT,
        PLAIN,
      ).pours[1]?.startS ?? 0;
    expect(going([])).toBe(asWaited.pours[1]?.startS);
    // Marked just now, whatever the model had expected.
    const marked = brewAsGoing(
      {
        plan: waiting,
        steps: [0, 1].map((stepIndex) => ({
          stepIndex,
          atS: stepIndex * 47.3,
          skipped: false,
          totalG: null,
        })),
        events: [],
      },
      CONE_KIT,
      PLAIN,
    );
    expect(marked.pours[1]?.startS).toBe(47.3);
    // Nothing has gone on by then: it begins at once, not in the past.
    expect(going([{ kind: 'first-drip', atS: 200 }])).toBe(200);
  });
});
