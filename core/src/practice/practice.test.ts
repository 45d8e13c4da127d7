import { describe, expect, it } from 'vitest';
import { HANDS, type Hand } from '../instruments/hands.js';
import { simulatedScale } from '../instruments/simulatedScale.js';
import type { Trace } from '../instruments/trace.js';
import { runningTotalsG, type BrewPlan } from '../plan/plan.js';
import { valueOf } from '../result.js';
import { EXERCISES } from './exercises.js';
import { FASTEST_GPS, tilted, type Tilt } from './pouring.js';
import { scorePractice } from './scorePractice.js';

const PERFECT: Hand = { delayS: 0, overG: 0, overSdG: 0, flowShare: 1, sway: 0 };

function poured(plan: BrewPlan, hand: Hand, skip = -1): Trace {
  const scale = simulatedScale({ hand, seed: 5 });
  for (const [index, toTotalG] of runningTotalsG(plan).entries()) {
    const { startS, flowGps } = plan.pours[index]!;
    if (index !== skip) scale.pour({ atS: startS, toTotalG, flowGps });
  }
  const atMs = Array.from({ length: plan.drawdownS * 10 }, (_, index) => index * 100);
  return { atMs, massG: atMs.map((at) => scale.read(at / 1000)?.massG ?? 0) };
}
const score = (plan: BrewPlan, hand: Hand, skip?: number) =>
  valueOf(scorePractice({ plan, trace: poured(plan, hand, skip) }));

describe('the score of a practice pour', () => {
  it.each(Object.entries(EXERCISES))('is full for a hand without fault: %s', (_, plan) => {
    for (const points of Object.values(score(plan, PERFECT).points)) expect(points).toBeGreaterThan(88);
  });

  it('takes points for what was wrong and leaves the rest', () => {
    const plan = EXERCISES['hit-totals'];
    const good = score(plan, PERFECT).points;
    const slow = score(plan, { ...PERFECT, flowShare: 0.6 }).points;
    expect(slow.flow).toBeLessThan(good.flow - 30);
    expect(slow.totals).toBeGreaterThan(good.totals - 10);
    const over = score(plan, { ...PERFECT, overG: 8 });
    expect(over.points.totals).toBeLessThan(good.totals - 30);
    expect(over.misses?.overG).toBeGreaterThan(6);
    const late = score(plan, { ...PERFECT, delayS: 4 });
    expect(late.points.timing).toBeLessThan(good.timing - 30);
    expect(late.misses?.lateS).toBeGreaterThan(3);
    expect(score(EXERCISES['hold-flow'], { ...PERFECT, sway: 0.5 }).points.steadiness).toBeLessThan(
      score(EXERCISES['hold-flow'], PERFECT).points.steadiness - 20,
    );
  });

  it('ranks the hands that the simulated scale knows', () => {
    const total = (hand: Hand) =>
      Object.values(score(EXERCISES['hit-totals'], hand).points).reduce((sum, each) => sum + each, 0);
    expect(total(HANDS.steady)).toBeGreaterThan(total(HANDS.usual));
    expect(total(HANDS.usual)).toBeGreaterThan(total(HANDS.hurried));
    expect(total(HANDS.usual)).toBeGreaterThan(total(HANDS.hesitant));
  });

  it('counts a pour that never came', () => {
    const { missedPours, points } = score(EXERCISES['hit-totals'], PERFECT, 3);
    expect(missedPours).toBe(1);
    expect(points.timing).toBeLessThanOrEqual(75);
  });

  it('says no size of a miss where nothing was poured at all', () => {
    const plan = EXERCISES['hold-flow'];
    const atMs = Array.from({ length: 140 }, (_, index) => index * 100);
    const nothing = valueOf(scorePractice({ plan, trace: { atMs, massG: atMs.map(() => 0.1) } }));
    expect(nothing).toEqual({
      points: { flow: 0, timing: 0, totals: 0, steadiness: 0 },
      misses: null,
      missedPours: 1,
    });
    // It is stored and sent as JSON, which knows no infinity.
    expect(JSON.parse(JSON.stringify(nothing))).toEqual(nothing);
  });

  it('says why a trace cannot be scored', () => {
    const plan = EXERCISES['hold-flow'];
    expect(scorePractice({ plan, trace: { atMs: [0], massG: [0] } })).toMatchObject({ reason: 'too-short' });
    expect(scorePractice({ plan, trace: { atMs: [0, 0], massG: [0, 0] } })).toMatchObject({
      reason: 'not-rising',
    });
  });
});

describe('a tilted kettle', () => {
  const after = (seconds: number, wanted: number | 'more' | null, from: Tilt = { flowGps: 0 }) =>
    Array.from({ length: seconds * 60 }).reduce<Tilt>((tilt) => tilted(tilt, wanted, 1 / 60), from).flowGps;

  it('pours more the longer a key is held, and never more than a spout gives', () => {
    expect(after(1, 'more')).toBeGreaterThan(4);
    expect(after(2, 'more')).toBeGreaterThan(after(1, 'more'));
    expect(after(20, 'more')).toBe(FASTEST_GPS);
  });

  it('follows a pointer, and stands upright soon after it is let go', () => {
    expect(after(3, 9)).toBe(9);
    expect(after(3, 99)).toBe(FASTEST_GPS);
    expect(after(1, null, { flowGps: 10 })).toBe(0);
  });
});
