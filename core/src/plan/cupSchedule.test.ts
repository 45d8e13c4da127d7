import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { isCupDue, nextCupChange, type CupRule } from '../bench/cupChanges.js';
import { preparationOf } from '../bench/preparation.js';
import { scalePlan } from '../forecast/scalePlan.js';
import { recut } from '../fractions/recut.js';
import { valueOf } from '../result.js';
import { anyCups } from '../testing/anyPlan.js';
import { CONE_KIT, PLAN } from '../testing/brews.js';
import {
  cupMarks,
  cupScheduleFault,
  cupScheduleWords,
  parseCupSchedule,
  type CupSchedule,
} from './cupSchedule.js';
import { planAllWaterG } from './plan.js';
import { planFaults } from './planFaults.js';

const TIMES: CupSchedule = { kind: 'times', atS: [40, 75, 120] };
const MASSES: CupSchedule = { kind: 'masses', atG: [90, 150] };

describe('a row of cups', () => {
  it('is read as it is spoken, and said as it is read', () => {
    for (const [said, schedule] of [
      ['0:40 1:15 2:00', TIMES],
      ['at 40, 75 and 120 s', TIMES],
      ['40;75;120', TIMES],
      ['90, 150 g', MASSES],
      ['90 and 150g on the scale', MASSES],
      ['every 30 s', { kind: 'time', everyS: 30 }],
      [' A cup every 60g', { kind: 'mass', everyG: 60 }],
    ] as const) {
      expect([said, parseCupSchedule(said)]).toEqual([said, { ok: true, value: schedule }]);
    }
    fc.assert(
      fc.property(anyCups, (schedule) => {
        expect(valueOf(parseCupSchedule(cupScheduleWords(schedule)))).toEqual(schedule);
      }),
    );
  });

  it('refuses what no hand can follow, with what may be', () => {
    const messageOf = (text: string) => {
      const read = parseCupSchedule(text);
      return read.ok ? 'read' : read.message;
    };
    expect(messageOf('')).toMatch(/^Enter when the cup is changed/);
    for (const text of ['when it is dark', '40 soon', '0:40 1:75', '37.5', 'every s', '-40']) {
      expect([text, messageOf(text)]).toEqual([text, expect.stringMatching(/is no row of cups/)]);
    }
    expect(messageOf('40 41')).toBe('Change 2 of the cups is at 41 s; allowed: 43 to 3600 s.');
    expect(messageOf('90 60 g')).toBe('Change 2 of the cups is at 60 g; allowed: 95 to 3000 g.');
    expect(messageOf('every 2 s')).toBe('A cup every 2 s; allowed: 3 to 600 s.');
    expect(messageOf(Array.from({ length: 21 }, (_, index) => 10 * (index + 1)).join(' '))).toBe(
      'Cups are changed 21 times; allowed: 1 to 20.',
    );
    expect(cupScheduleFault({ kind: 'times', atS: [] })).not.toBeNull();
    expect(cupScheduleFault({ kind: 'times', atG: [40] })).not.toBeNull();
    expect(cupScheduleFault({ kind: 'weekly' })).not.toBeNull();
  });

  it('is called shortly before each of its marks, and no more after the last', () => {
    const at = (rule: CupRule, changes: number, elapsedS: number, massG: number | null = null) =>
      isCupDue({ rule, changes, elapsedS, massG });
    expect([37, 38].map((elapsedS) => at(TIMES, 0, elapsedS))).toEqual([false, true]);
    expect([72, 73].map((elapsedS) => at(TIMES, 1, elapsedS))).toEqual([false, true]);
    expect(at(TIMES, 3, 500)).toBe(false);
    expect([86, 87].map((massG) => at(MASSES, 0, 10, massG))).toEqual([false, true]);
    expect(nextCupChange({ rule: MASSES, changes: 1 })).toEqual({ mark: 150, unit: 'g' });
    expect(nextCupChange({ rule: MASSES, changes: 2 })).toBeNull();
    expect(nextCupChange({ rule: { kind: 'none' }, changes: 0 })).toBeNull();
  });

  it('of even steps goes on for as long as the brew does', () => {
    expect(cupMarks({ kind: 'time', everyS: 30 }, 100)).toEqual([30, 60, 90]);
    expect(cupMarks({ kind: 'mass', everyG: 50 }, 100)).toEqual([50]);
    expect(cupMarks(TIMES, 120)).toEqual([40, 75]);
  });
});

// 45 g bloom, 100 g at 40 s, 100 g at 80 s.
describe('a plan that runs into a row of cups', () => {
  const faultOf = (cups: CupSchedule) => planFaults({ plan: { ...PLAN, cups } }).map(({ reason }) => reason);

  it('changes them before its end, by the clock or by the water', () => {
    expect(faultOf({ kind: 'times', atS: [40, PLAN.drawdownS - 1] })).toEqual([]);
    expect(faultOf({ kind: 'times', atS: [40, PLAN.drawdownS] })).toEqual(['cup-after-the-end']);
    expect(faultOf({ kind: 'masses', atG: [100, 244] })).toEqual([]);
    expect(faultOf({ kind: 'masses', atG: [100, 245] })).toEqual(['cup-after-the-end']);
    expect(faultOf({ kind: 'time', everyS: 30 })).toEqual([]);
    expect(faultOf({ kind: 'time', everyS: 600 })).toEqual(['cup-after-the-end']);
    expect(faultOf({ kind: 'times', atS: [40, 41] })).toEqual(['cups-not-followed']);
  });

  it('has as many cups ready as it fills', () => {
    const cupsReady = (cups: CupSchedule) =>
      preparationOf({ plan: { ...PLAN, cups }, rinseG: 0 }).find(({ task }) => task === 'cups')?.figure;
    expect(cupsReady({ kind: 'times', atS: [40, 75] })).toBe(3);
    expect(cupsReady({ kind: 'mass', everyG: 60 })).toBe(5);
    expect(preparationOf({ plan: PLAN, rinseG: 0 }).some(({ task }) => task === 'cups')).toBe(false);
  });

  it('keeps its share of the water at another dose, as all its water does', () => {
    const plan = { ...PLAN, bypassG: 30, cups: MASSES };
    const scaled = valueOf(scalePlan({ plan, kit: CONE_KIT, doseG: PLAN.doseG * 2 })).plan;
    expect(scaled.cups).toEqual({ kind: 'masses', atG: [180, 300] });
    expect(scaled.bypassG).toBe(60);
    expect(planAllWaterG(scaled)).toBe(planAllWaterG(plan) * 2);
  });

  it('is brewed whole once the cups have said where to cut', () => {
    const cut = { liftAtS: null, lateWater: 'left-out', early: null, dropsBloom: false } as const;
    expect(valueOf(recut({ plan: { ...PLAN, cups: TIMES }, cut }))).toEqual(PLAN);
  });
});
