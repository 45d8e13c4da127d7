import { describe, expect, it } from 'vitest';
import { benchSteps } from '../bench/benchSteps.js';
import { planAgainstActual } from '../bench/planAgainstActual.js';
import { planAsGoing } from '../bench/liveBrew.js';
import { brewAsDone } from '../calibration/brewAsDone.js';
import { conditionsOfPlan } from '../calibration/conditions.js';
import { MOVES } from '../change/levers.js';
import { CONE_KIT } from '../testing/brews.js';
import { agitationWords, withAgitation } from './agitating.js';
import { joinWithNext, splitPour } from './movePours.js';
import { planChanges } from './planChanges.js';
import type { AgitationHow, BrewPlan, Pour } from './plan.js';

const pour = (startS: number, agitation: Pour['agitation'], agitationHow?: AgitationHow): Pour => ({
  startS,
  amountG: 80,
  flowGps: 8,
  agitation,
  isBloom: startS === 0,
  ...(agitationHow === undefined ? {} : { agitationHow }),
});
const PLAN: BrewPlan = {
  doseG: 16,
  kettleC: 94,
  grindUm: 700,
  pours: [
    pour(0, 'swirl', { times: 8, isHard: true }),
    pour(40, 'none'),
    pour(80, 'swirl', { times: 5, onlyIf: 'roast-old' }),
  ],
  drawdownS: 150,
};
const agitations = (plan: BrewPlan) => conditionsOfPlan({ plan, kit: CONE_KIT }).agitation;
const done = (skipped: boolean) =>
  benchSteps(PLAN).map(({ plannedS }, stepIndex) => ({
    stepIndex,
    atS: plannedS,
    skipped: skipped && stepIndex === 4,
    totalG: null,
  }));

describe('count, force and condition of an agitation', () => {
  it('are told in the words of the trade', () => {
    const told = (agitation: Pour['agitation'], agitationHow: AgitationHow) =>
      agitationWords({ agitation, agitationHow });
    expect(told('swirl', {})).toBe('swirl');
    expect(told('swirl', { times: 8, isHard: true })).toBe('8 hard swirls');
    expect(told('wall-stir', { times: 1 })).toBe('1 stir along the wall');
    expect(told('stir', { onlyIf: 'cup-asks' })).toBe('stir if the cup asks for it');
    expect(told('none', { times: 3 })).toBeNull();
    const plain = { ...PLAN, pours: PLAN.pours.map((each) => withAgitation(each, 'none')) };
    expect(planChanges({ from: plain, to: PLAN })).toEqual([
      {
        figure: 'agitation',
        from: 'none',
        to: '8 hard swirls after 1, 5 swirls if the roast is old after 3',
      },
    ]);
  });

  it('go with the agitation: none of them is left of nothing', () => {
    expect(PLAN.pours.map((each) => withAgitation(each, 'none'))).toEqual([
      pour(0, 'none'),
      pour(40, 'none'),
      pour(80, 'none'),
    ]);
    expect(MOVES.agitation.set(PLAN, 0)?.pours.some((each) => 'agitationHow' in each)).toBe(false);
    const split = splitPour({ plan: PLAN, index: 0 });
    expect(split.ok && split.value.pours.slice(0, 2)).toMatchObject([
      { agitation: 'none' },
      { agitation: 'swirl', agitationHow: { times: 8 } },
    ]);
    expect(split.ok && split.value.pours[0]).not.toHaveProperty('agitationHow');
    const joined = joinWithNext({ plan: PLAN, index: 1 });
    expect(joined.ok && joined.value.pours[1]?.agitationHow).toEqual({ times: 5, onlyIf: 'roast-old' });
    const overwritten = joinWithNext({ plan: PLAN, index: 0 });
    expect(overwritten.ok && overwritten.value.pours[0]).not.toHaveProperty('agitationHow');
  });

  it('are steps at the bench, an open one late by no clock', () => {
    const steps = benchSteps(PLAN).filter((step) => step.kind === 'agitate');
    expect(steps).toMatchObject([
      { times: 8, isHard: true, onlyIf: null },
      { times: 5, isHard: false, onlyIf: 'if the roast is old' },
    ]);
    const late = done(false).map((step) => ({ ...step, atS: step.atS + 9 }));
    const rows = planAgainstActual({ plan: PLAN, done: late }).filter(({ step }) => step.kind === 'agitate');
    expect(rows.map(({ lateByS }) => lateByS)).toEqual([9, null]);
  });
});

describe('an agitation that is left open', () => {
  it('is not counted on, and counts once it was done', () => {
    expect(agitations(PLAN)).toEqual([{ atS: 10, kind: 'swirl' }]);
    const of = (skipped: boolean) =>
      brewAsDone(
        { plan: PLAN, steps: done(skipped), events: [], doseG: 16, roastAgeDays: 10 },
        CONE_KIT,
      ).agitation.map(({ atS }) => atS);
    expect(of(false)).toEqual([10, 90]);
    expect(of(true)).toEqual([10]);
    const going = (count: number) =>
      agitations(planAsGoing({ plan: PLAN, done: done(false).slice(0, count), events: [] })).length;
    expect([going(4), going(5)]).toEqual([1, 2]);
  });

  it('along the wall is modelled as a swirl (assumed)', () => {
    const plan = { ...PLAN, pours: [pour(0, 'wall-stir'), pour(40, 'none')] };
    expect(agitations(plan)).toEqual([{ atS: 10, kind: 'swirl' }]);
  });
});
