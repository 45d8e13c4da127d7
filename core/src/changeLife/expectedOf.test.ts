import { describe, expect, it } from 'vitest';
import { calibrateLot } from '../calibration/calibrateLot.js';
import { conditionsOfPlan } from '../calibration/conditions.js';
import { forecastBrew } from '../calibration/forecastBrew.js';
import { proposeChange } from '../change/proposeChange.js';
import { OUTCOMES } from '../forecast/outcome.js';
import type { BrewPlan } from '../plan/plan.js';
import { valueOf } from '../result.js';
import { aimAround, CONE_KIT, PLAN } from '../testing/brews.js';
import { expectedOfChange, expectedOfPlans } from './expectedOf.js';

const calibration = valueOf(calibrateLot({ brews: [] }));
const forecast = (plan: BrewPlan) =>
  valueOf(forecastBrew({ calibration, brew: conditionsOfPlan({ plan, kit: CONE_KIT }) }));
const limits = { finestUm: 300, coarsestUm: 1400, coolestC: 80, hottestC: 99 };
const here = forecast(PLAN);
const advised = (change: Partial<Parameters<typeof proposeChange>[0]>) =>
  valueOf(
    proposeChange({
      plan: PLAN,
      kit: CONE_KIT,
      calibration,
      limits,
      targets: aimAround({ tdsPercent: here.tdsPercent.value + 0.1 }),
      ...change,
    }),
  ).changes;

describe('what a change is expected to do', () => {
  it('is the way from the plan as it is to the changed one, with the band of the latter', () => {
    const [change] = advised({});
    const { figures, source, hopes } = expectedOfChange(change!);
    expect(source).toEqual({ kind: 'model' });
    expect(hopes).toEqual([]);
    for (const outcome of OUTCOMES) {
      expect(figures?.[outcome].from, outcome).toBeCloseTo(here[outcome].value, 6);
      expect(figures?.[outcome]).toMatchObject({
        to: change!.expected[outcome].value,
        sd: change!.expected[outcome].sd,
      });
    }
    expect(figures?.tdsPercent.to).toBeGreaterThan(figures?.tdsPercent.from ?? Infinity);
  });

  it('of a rule of taste is that what it speaks of goes away, and of a rule of figures nothing in the cup', () => {
    const flat = advised({ findings: ['flat'] }).find(({ source }) => source.kind === 'rule');
    expect(expectedOfChange(flat!)).toMatchObject({
      source: { kind: 'rule', id: 'flat' },
      hopes: [{ kind: 'gone', finding: 'flat' }],
    });
    const byFigures = { ...flat!, source: { kind: 'rule' as const, id: 'weak-though-extracted' } };
    expect(expectedOfChange(byFigures).hopes).toEqual([]);
  });

  it('of two plans that somebody drew is what both were forecast to give', () => {
    const finer = forecast({ ...PLAN, grindUm: PLAN.grindUm - 50 });
    const figures = expectedOfPlans(here, finer);
    for (const outcome of OUTCOMES) {
      expect(figures[outcome]).toEqual({
        from: here[outcome].value,
        to: finer[outcome].value,
        sd: finer[outcome].sd,
      });
    }
  });
});
