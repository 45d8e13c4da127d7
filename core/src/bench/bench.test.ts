import { describe, expect, it } from 'vitest';
import { endWords } from '../plan/endWords.js';
import type { BrewPlan } from '../plan/plan.js';
import { planChanges } from '../plan/planChanges.js';
import { formatDuration } from '../quantity/duration.js';
import { benchMoment, markedTimesS, type BenchRun } from './benchRun.js';
import { benchSteps, dueWords } from './benchSteps.js';
import { actualStaircase, planAgainstActual, pouredWaterG } from './planAgainstActual.js';

const PLAN: BrewPlan = {
  doseG: 15,
  kettleC: 95,
  grindUm: 700,
  drawdownS: 160,
  pours: [
    { startS: 0, amountG: 40, flowGps: 5, agitation: 'swirl', isBloom: true },
    { startS: 40, amountG: 200, flowGps: 8, agitation: 'none', isBloom: false },
  ],
};
const STEPS = benchSteps(PLAN);
const START_MS = 1_795_000_000_000;

function runWith(...marks: (number | { atS: number; skipped: true })[]): BenchRun {
  return {
    marks: marks.map((mark, stepIndex) => {
      const { atS, skipped } = typeof mark === 'number' ? { atS: mark, skipped: false } : mark;
      return { stepIndex, skipped, atMs: START_MS + atS * 1000 };
    }),
  };
}

describe('the steps of the bench', () => {
  it('are the pours with their totals, each agitation and the drawdown', () => {
    expect(STEPS.map(({ kind, plannedS }) => `${kind} ${plannedS}`)).toEqual([
      'pour 0',
      'agitate 8',
      'pour 40',
      'drawdown 160',
    ]);
    expect(STEPS[2]).toMatchObject({ totalG: 240, amountG: 200, endS: 65 });
  });
});

describe('the clock of the bench', () => {
  it('waits for the first mark', () => {
    expect(benchMoment({ run: runWith(), steps: STEPS, nowMs: START_MS })).toMatchObject({
      phase: 'ready',
      elapsedS: 0,
      next: { kind: 'pour', pourNumber: 1 },
    });
  });

  it('counts wall-clock time, however long the screen slept', () => {
    const moment = benchMoment({ run: runWith(0), steps: STEPS, nowMs: START_MS + 35_500 });
    expect(moment).toMatchObject({ phase: 'running', elapsedS: 35.5, next: { kind: 'agitate' } });
    expect(moment.dueInS).toBeCloseTo(-27.5, 9);
  });

  it('stops at the last mark', () => {
    const run = runWith(0, 9, 41, 158);
    expect(benchMoment({ run, steps: STEPS, nowMs: START_MS + 999_000 })).toMatchObject({
      phase: 'done',
      elapsedS: 158,
      next: null,
    });
  });

  it('never runs backwards when the machine clock is set back', () => {
    expect(benchMoment({ run: runWith(0, 9), steps: STEPS, nowMs: START_MS - 60_000 }).elapsedS).toBe(0);
  });
});

describe('plan against actual', () => {
  const done = markedTimesS(runWith(0, { atS: 9, skipped: true }, 45, 171)).map((mark) => ({
    ...mark,
    totalG: mark.stepIndex === 0 ? 43 : null,
  }));

  it('tells late from early, over from under, and a swirl left out', () => {
    const rows = planAgainstActual({ plan: PLAN, done });
    expect(rows.map(({ lateByS }) => lateByS)).toEqual([0, null, 5, 11]);
    expect(rows[0]).toMatchObject({ doneTotalG: 43, overByG: 3 });
    expect(rows[1]).toMatchObject({ skipped: true, doneS: null });
    expect(rows[2]).toMatchObject({ doneTotalG: null, overByG: null });
  });

  it('calls no pour late that waits for something seen', () => {
    const pours = PLAN.pours.map((pour, index) =>
      index === 1 ? { ...pour, startsWhen: 'through' as const } : pour,
    );
    const rows = planAgainstActual({ plan: { ...PLAN, pours }, done });
    expect(rows.map(({ lateByS }) => lateByS)).toEqual([0, null, null, 11]);
    expect(rows[2]?.step).toMatchObject({ waitsFor: 'when all of it is through' });
    expect(rows[0]?.step).toMatchObject({ waitsFor: null });
  });

  it('is due all through the window of its end, and late only after it', () => {
    const steps = benchSteps({ ...PLAN, endWithinS: 5 });
    const marks = steps.slice(0, -1).map((_, index) => index * 10);
    const dueAt = (atS: number) =>
      benchMoment({ run: runWith(...marks), steps, nowMs: START_MS + atS * 1000 }).dueInS;
    const endS = PLAN.drawdownS;
    expect([endS - 4, endS, endS + 3, endS + 5, endS + 7].map(dueAt)).toEqual([4, 0, 0, 0, -2]);
  });

  it('is on plan anywhere in the window of its end', () => {
    const plan = { ...PLAN, endWithinS: 5 };
    const last = benchSteps(plan).length - 1;
    const lateAt = (atS: number) =>
      planAgainstActual({ plan, done: [{ stepIndex: last, atS, skipped: false, totalG: null }] })[last]
        ?.lateByS;
    const endS = PLAN.drawdownS;
    expect([endS - 2, endS, endS + 5, endS + 9].map(lateAt)).toEqual([-2, 0, 0, 4]);
    expect(benchSteps(plan).map(dueWords).at(-1)).toBe(
      `${formatDuration(endS)} to ${formatDuration(endS + 5)}`,
    );
    expect(planChanges({ from: PLAN, to: plan })).toEqual([
      { figure: 'drawdown', from: formatDuration(endS), to: endWords(plan) },
    ]);
  });

  it('never passes planned water off as weighed', () => {
    expect(pouredWaterG({ plan: PLAN, done })).toEqual({ waterG: 240, basis: 'as-planned' });
    const weighed = done.map((mark) => (mark.stepIndex === 2 ? { ...mark, totalG: 243.5 } : mark));
    expect(pouredWaterG({ plan: PLAN, done: weighed })).toEqual({ waterG: 243.5, basis: 'as-weighed' });
  });

  it('draws what was done from its own times and totals', () => {
    expect(actualStaircase({ plan: PLAN, done, untilS: 171 })).toEqual([
      { atS: 0, totalG: 0 },
      { atS: 8.6, totalG: 43 },
      { atS: 45, totalG: 43 },
      { atS: 69.625, totalG: 240 },
      { atS: 171, totalG: 240 },
    ]);
  });

  it('cuts a pour that is still running at the present moment', () => {
    expect(actualStaircase({ plan: PLAN, done: done.slice(0, 3), untilS: 50 }).at(-1)).toEqual({
      atS: 50,
      totalG: 83,
    });
  });
});
