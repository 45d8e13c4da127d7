import { describe, expect, it } from 'vitest';
import { finesTaken, withFinesWeighed } from '../bench/finesTaken.js';
import { preparationOf } from '../bench/preparation.js';
import { brewAsDone } from '../calibration/brewAsDone.js';
import { conditionsOfPlan, medianUm } from '../calibration/conditions.js';
import { modelledBrew } from '../calibration/modelled.js';
import { MOVES } from '../change/levers.js';
import { forecastPlan } from '../forecast/forecastPlan.js';
import { scalePlan } from '../forecast/scalePlan.js';
import { valueOf } from '../result.js';
import { CONE_KIT, PLAN } from '../testing/brews.js';
import { grindingOf, withGrind } from './grinding.js';
import { planChanges } from './planChanges.js';
import { planFaults } from './planFaults.js';
import type { BrewPlan } from './plan.js';

const MIXED: BrewPlan = {
  ...PLAN,
  doseG: 20,
  grindUm: 700,
  secondGrind: { grindUm: 1000, sharePercent: 40 },
};
const SIEVED: BrewPlan = { ...PLAN, doseG: 20, grindUm: 700, sieveUm: 300 };
const forecast = (plan: BrewPlan) => valueOf(forecastPlan({ plan, kit: CONE_KIT }));

describe('two grinds put together', () => {
  it('are weighed by their share', () => {
    const { parts, toGrindG, finesG } = grindingOf(MIXED);
    expect(parts).toEqual([
      { grindUm: 700, toGrindG: 12 },
      { grindUm: 1000, toGrindG: 8 },
    ]);
    expect([toGrindG, finesG]).toEqual([20, 0]);
  });

  it('brew between the two of them', () => {
    const [fine, mixed, coarse] = [{ ...PLAN, grindUm: 700 }, MIXED, { ...PLAN, grindUm: 1000 }].map((plan) =>
      forecast({ ...plan, doseG: 20 }),
    );
    expect(mixed?.tdsPercent).toBeLessThan(fine?.tdsPercent ?? 0);
    expect(mixed?.tdsPercent).toBeGreaterThan(coarse?.tdsPercent ?? 9);
  });

  it('move together when the grind is moved, and neither leaves the grinder', () => {
    expect(withGrind(MIXED, 770).secondGrind).toEqual({ grindUm: 1100, sharePercent: 40 });
    expect(MOVES.grind.set(MIXED, 770)?.secondGrind?.grindUm).toBe(1100);
    const limits = { finestUm: 300, coarsestUm: 1200, coolestC: 80, hottestC: 98 };
    expect(MOVES.grind.reach(MIXED, limits).high).toBeCloseTo(840);
    expect(MOVES.grind.reach({ ...MIXED, secondGrind: undefined }, limits).high).toBe(950);
  });

  it('are scaled with the dose as one', () => {
    const { plan } = valueOf(scalePlan({ plan: MIXED, kit: CONE_KIT, doseG: 24 }));
    expect(plan.secondGrind?.grindUm).toBe(Math.round((plan.grindUm * 100) / 70 / 10) * 10);
    expect(grindingOf(plan).toGrindG).toBe(24);
  });

  it('are refused where a grinder tells them hardly apart', () => {
    const plan = { ...MIXED, secondGrind: { grindUm: 730, sharePercent: 40 } };
    expect(planFaults({ plan }).map(({ reason, field }) => [reason, field])).toEqual([
      ['grinds-alike', 'secondGrind.grindUm'],
    ]);
  });
});

describe('a sieve', () => {
  it('is ground for, so that the dose is left', () => {
    const { toGrindG, finesG, leftShare } = grindingOf(SIEVED);
    expect(toGrindG - finesG).toBeCloseTo(20);
    expect(toGrindG * leftShare).toBeCloseTo(20, 0);
    expect(finesG).toBeGreaterThan(1);
  });

  it('drains faster and brews weaker: fines extract first and clog (common practice)', () => {
    const [whole, sieved] = [{ ...SIEVED, sieveUm: undefined } as BrewPlan, SIEVED].map(forecast);
    expect(sieved?.drawdownS).toBeLessThan(whole?.drawdownS ?? 0);
    expect(sieved?.tdsPercent).toBeLessThan(whole?.tdsPercent ?? 0);
  });

  it('takes of both grinds, and more of the finer', () => {
    const { grind } = conditionsOfPlan({ plan: { ...MIXED, sieveUm: 300 }, kit: CONE_KIT });
    if (!('parts' in grind)) throw new Error('two grinds are two parts');
    const [fine, coarse] = grind.parts.map(({ share }) => share);
    expect((fine ?? 0) / 0.6).toBeLessThan((coarse ?? 0) / 0.4);
    expect(medianUm({ grind })).toBeGreaterThan(700);
  });

  it('is refused where it takes more than it leaves', () => {
    expect(planFaults({ plan: { ...SIEVED, sieveUm: 850 } })).toMatchObject([
      { reason: 'sieve-takes-too-much', field: 'sieveUm' },
    ]);
    expect(planFaults({ plan: SIEVED })).toEqual([]);
  });
});

describe('grinding at the bench', () => {
  const both = { ...MIXED, sieveUm: 300 };

  it('comes in the order of doing', () => {
    const tasks = preparationOf({ plan: both, rinseG: 0 });
    expect(tasks.map(({ task }) => task).join(' ')).toContain('weigh grind second-grind sieve level');
    expect(tasks.find(({ task }) => task === 'weigh')?.figure).toBe(grindingOf(both).toGrindG);
  });

  it('tells what fell through, as weighed or as expected, and nothing where it was left out', () => {
    const leftOut = { kind: 'not-prepared', atS: 0, task: 'sieve' } as const;
    expect(finesTaken({ plan: PLAN, events: [] })).toBeNull();
    expect(finesTaken({ plan: SIEVED, events: [leftOut] })).toBeNull();
    expect(withFinesWeighed(withFinesWeighed([leftOut], 2), 3)).toEqual([
      { kind: 'fines-weighed', atS: 0, finesG: 3 },
      leftOut,
    ]);
    expect(withFinesWeighed(withFinesWeighed([leftOut], 2), null)).toEqual([leftOut]);
    expect(finesTaken({ plan: SIEVED, events: [] })).toEqual({
      finesG: grindingOf(SIEVED).finesG,
      basis: 'as-expected',
    });
    expect(finesTaken({ plan: SIEVED, events: [{ kind: 'fines-weighed', atS: 0, finesG: 2.4 }] })).toEqual({
      finesG: 2.4,
      basis: 'as-weighed',
    });
  });

  it('is of the brew as far as it was done', () => {
    const done = {
      plan: { ...both, regulatorGps: 4, ballUntilS: 40 },
      steps: [],
      doseG: 20,
      roastAgeDays: 10,
    };
    const leftOut = (['second-grind', 'sieve', 'regulator', 'chill-ball', 'level'] as const).map(
      (task) => ({ kind: 'not-prepared', atS: 0, task }) as const,
    );
    const conditions = brewAsDone({ ...done, events: leftOut }, CONE_KIT);
    expect(conditions.grind).toEqual({ d50Um: 700 });
    expect(conditions).not.toHaveProperty('regulatorGps');
    expect(conditions).not.toHaveProperty('chilledBall');
    expect(brewAsDone({ ...done, events: [] }, CONE_KIT)).toHaveProperty('regulatorGps', 4);
    expect(brewAsDone({ ...done, events: leftOut }, CONE_KIT, ['dose'])).toHaveProperty('chilledBall');
  });

  it('is named where two plans differ in it', () => {
    expect(planChanges({ from: { ...MIXED, secondGrind: undefined }, to: both })).toEqual([
      { figure: 'grind', from: '700 µm', to: '700 µm and 40 % at 1000 µm, sieved at 300 µm' },
    ]);
  });
});

describe('fines that were weighed', () => {
  const done = (finesG: number | null) =>
    brewAsDone(
      {
        plan: SIEVED,
        steps: [],
        events: finesG === null ? [] : [{ kind: 'fines-weighed', atS: 0, finesG }],
        doseG: 20,
        roastAgeDays: 10,
      },
      CONE_KIT,
    );
  const finesLeft = ({ grind }: ReturnType<typeof done>) =>
    'parts' in grind ? (grind.parts[0]?.grind.finesShare ?? NaN) : NaN;

  it('say how well it was shaken: more in the dish is less in the brew', () => {
    const expectedG = grindingOf(SIEVED).finesG;
    expect(finesLeft(done(expectedG))).toBeCloseTo(finesLeft(done(null)), 2);
    expect(finesLeft(done(expectedG + 0.5))).toBeLessThan(finesLeft(done(null)));
    expect(finesLeft(done(expectedG - 1))).toBeGreaterThan(finesLeft(done(null)));
    // Nothing fell: it is the whole grind.
    const whole = conditionsOfPlan({ plan: { ...SIEVED, sieveUm: 300 }, kit: CONE_KIT });
    expect(finesLeft(done(0))).toBeGreaterThan(finesLeft(whole));
  });

  it('drain faster the more of them are out', () => {
    const drainS = (finesG: number) =>
      modelledBrew(done(finesG), { solubility: 1, rate: 1, flow: 1, retained: 1, steepness: 1 }).drawdownS;
    expect(drainS(2.6)).toBeLessThan(drainS(1));
  });
});
