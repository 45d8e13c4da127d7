import { describe, expect, it } from 'vitest';
import { benchSteps } from '../bench/benchSteps.js';
import { brewAsGoing } from '../forecast/brewAsGoing.js';
import { brewAsDone } from '../calibration/brewAsDone.js';
import { forecastPlan } from '../forecast/forecastPlan.js';
import { valueOf } from '../result.js';
import { CONE_KIT } from '../testing/brews.js';
import { pouredAtC } from './openLid.js';
import { planChanges } from './planChanges.js';
import { planFaults } from './planFaults.js';
import type { BrewPlan } from './plan.js';

const pour = (startS: number, kettleC?: number) => ({
  startS,
  amountG: 80,
  flowGps: 8,
  agitation: 'none' as const,
  isBloom: startS === 0,
  ...(kettleC === undefined ? {} : { kettleC }),
});
const PLAN: BrewPlan = {
  doseG: 16,
  kettleC: 94,
  grindUm: 700,
  pours: [pour(0), pour(45), pour(120)],
  drawdownS: 180,
};
const OPENED = { ...PLAN, lidOpensS: 15 };

describe('a kettle with its lid opened', () => {
  it('falls from 94 to about 90 or 91 in a minute or two (common practice)', () => {
    const [first, second = 0, third = 0] = pouredAtC(OPENED);
    expect(first).toBe(94);
    expect(second).toBeLessThan(94);
    expect(second).toBeGreaterThan(91);
    expect(third).toBeGreaterThan(88);
    expect(third).toBeLessThan(91);
    expect(second).toBeGreaterThan(third);
    expect(pouredAtC(PLAN)).toEqual([94, 94, 94]);
  });

  it('falls faster in a cold room, and with less in it', () => {
    const [, , warm = 0] = pouredAtC(OPENED, 30);
    const [, , cold = 0] = pouredAtC(OPENED, 5);
    expect(cold).toBeLessThan(warm);
    const [, , emptied = 0] = pouredAtC({
      ...OPENED,
      pours: [{ ...pour(0), amountG: 400 }, pour(45), pour(120)],
    });
    expect(emptied).toBeLessThan(pouredAtC(OPENED)[2] ?? 0);
  });

  it('is hot again where a pour sets it anew, and at pours before it was opened', () => {
    expect(pouredAtC({ ...OPENED, pours: [pour(0), pour(45, 92), pour(120)] })).toEqual([94, 92, 92]);
    expect(pouredAtC({ ...PLAN, lidOpensS: 45 }).slice(0, 2)).toEqual([94, 94]);
  });

  it('cools the slurry in the forecast, and a kettle that was read stands above it', () => {
    const forecast = (plan: BrewPlan) => valueOf(forecastPlan({ plan, kit: CONE_KIT }));
    expect(forecast(OPENED).tdsPercent).toBeLessThan(forecast(PLAN).tdsPercent);
    const read = { kind: 'kettle-read', atS: 120, kettleC: 88, instrument: '', isSimulated: false } as const;
    const steps = benchSteps(OPENED).map(({ plannedS }, stepIndex) => ({
      stepIndex,
      atS: plannedS,
      skipped: false,
      totalG: null,
    }));
    const done = { plan: OPENED, steps, events: [read], doseG: 16, roastAgeDays: 9 };
    // Read in mid-fall, it falls on from there, in the record as in a brew under way.
    const early = { ...done, events: [{ ...read, atS: 45, kettleC: 91 }] };
    for (const { pours } of [brewAsDone(early, CONE_KIT), brewAsGoing(early, CONE_KIT)]) {
      expect(pours[1]?.kettleC).toBe(91);
      expect(pours[2]?.kettleC).toBeLessThan(90.5);
    }
    const kettles = brewAsDone(done, CONE_KIT).pours.map(({ kettleC }) => kettleC);
    expect(kettles[2]).toBe(88);
    expect(kettles[1]).toBeLessThan(94);
  });

  it('is a step in its place at the bench, after the pour that starts the clock', () => {
    expect(benchSteps(OPENED).map(({ kind }) => kind)).toEqual([
      'pour',
      'open-lid',
      'pour',
      'pour',
      'drawdown',
    ]);
    expect(benchSteps({ ...PLAN, lidOpensS: 0 }).map(({ kind }) => kind)[1]).toBe('open-lid');
    expect(planChanges({ from: PLAN, to: OPENED })).toEqual([
      { figure: 'lid', from: 'shut', to: 'opened at 0:15' },
    ]);
  });

  it('is refused where no pour is left to cool', () => {
    expect(planFaults({ plan: { ...PLAN, lidOpensS: 120 } })).toMatchObject([
      { reason: 'lid-cools-no-pour', field: 'lidOpensS' },
    ]);
    expect(planFaults({ plan: OPENED })).toEqual([]);
  });
});
