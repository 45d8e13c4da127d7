import {
  calibrateLot,
  conditionsOfPlan,
  forecastBrew,
  lotPrior,
  valueOf,
  type BrewPlan,
  type CalibratedForecast,
  type MeasuredBrew,
} from '@vendu/core';
import { sampleCorrelation } from 'simple-statistics';
import { fixed, percentile, table } from '../report.js';
import { brewByHand } from '../truths/hand.js';
import type { TruthName } from '../truths/truth.js';
import { TRUTHS } from './brewsToTarget.js';
import { AIMS, handOf, taskOf, trueCup, type Task } from './task.js';

const LOTS = 200;
/** The first brewer is brewed at these sizes beside its start: as many brews as a lot usually takes. */
const BY_UM = [0, -60, 40];
/** What the second brewer's own first brew is changed by, before its second one is forecast. */
const NEXT_UM = -50;
const FIGURES = ['drawdownS', 'tdsPercent', 'yieldPercent'] as const;
type Figure = (typeof FIGURES)[number];
const DIGITS: Record<Figure, number> = { drawdownS: 0, tdsPercent: 3, yieldPercent: 2 };
const NAMES: Record<Figure, string> = {
  drawdownS: 'drain time, s',
  tdsPercent: 'strength, % TDS',
  yieldPercent: 'yield, points',
};

type Misses = Record<Figure, { miss: number; isHeld: boolean }>;
interface OneLot {
  /** Of the first brew in the second brewer, and of its second one. */
  first: { alone: Misses; together: Misses };
  second: { alone: Misses; together: Misses };
  /** What the first brewer's start was off by from its forecast before any brew. */
  elsewhere: Misses;
}

/** What a second brewer of a lot is told, with and without the brews in the first one. */
export function secondBrewer(progress: (line: string) => void): string {
  const rows = TRUTHS.flatMap(({ truth, title }) => {
    const lots = Array.from({ length: LOTS }, (_, seed) => lotOf(truth, seed));
    progress(title);
    return (['first', 'second'] as const).flatMap((which) =>
      FIGURES.map((figure) => {
        const misses = (how: 'alone' | 'together') => lots.map((lot) => lot[which][how][figure]);
        const off = (how: 'alone' | 'together') => misses(how).map(({ miss }) => Math.abs(miss));
        const held = (how: 'alone' | 'together') =>
          (misses(how).filter(({ isHeld }) => isHeld).length / LOTS) * 100;
        const pair = (of: (how: 'alone' | 'together') => number, digits: number) =>
          `${fixed(of('alone'), digits)} → ${fixed(of('together'), digits)}`;
        return [
          title,
          which,
          NAMES[figure],
          pair((how) => mean(off(how)), DIGITS[figure]),
          `${fixed((1 - mean(off('together')) / mean(off('alone'))) * 100, 0)} %`,
          which === 'second' ? '' : `${fixed(sharedPart(lots, figure) * 100, 0)} %`,
          pair((how) => percentile(off(how), 0.5), DIGITS[figure]),
          pair(held, 0),
        ];
      }),
    );
  });
  return [
    '## The second brewer of a lot',
    '',
    `${LOTS} lots against each truth. The first brewer, cone or flat bottom, is brewed three times by hand; then the other brewer's starting recipe is forecast, without those brews and with them, and after its own first brew the next, ${-NEXT_UM} µm finer. How far the forecasts are from a brew without any error: in the mean, how much less that is with the first brewer's brews, and at most by any straight line from what the first brewer missed (the correlation of the two brewers' misses); in the median; and how often bands of nine in ten hold.`,
    '',
    table(['truth', 'brew', 'figure', 'off, mean', 'less by', 'at most', 'off, median', 'held, %'], rows),
  ].join('\n');
}

function lotOf(truth: TruthName, seed: number): OneLot {
  const first = taskOf(truth, seed);
  const second = taskOf(truth, seed, AIMS.house, [], first.lot.shape === 'cone' ? 'flat-bottom' : 'cone');
  const random = handOf(seed);
  const brewed = ({ lot }: Task, plan: BrewPlan): MeasuredBrew => ({
    ...brewByHand(lot, plan, random),
    trace: [],
  });
  const elsewhere = BY_UM.map((byUm) => ({
    ...brewed(first, { ...first.start, grindUm: first.start.grindUm + byUm }),
    otherKit: first.lot.shape,
  }));
  const own = brewed(second, second.start);
  const next = { ...second.start, grindUm: second.start.grindUm + NEXT_UM };
  return {
    first: {
      alone: missesOf(second, second.start, []),
      together: missesOf(second, second.start, elsewhere),
    },
    second: {
      alone: missesOf(second, next, [own]),
      together: missesOf(second, next, [...elsewhere, own]),
    },
    elsewhere: missesOf(first, first.start, []),
  };
}

/** A plan's forecast by what is known, held against a brew of it without any error. */
function missesOf(task: Task, plan: BrewPlan, known: readonly MeasuredBrew[]): Misses {
  const { process, elevationM, roastLevel, roastAgeDays } = task.lot.facts;
  const prior = lotPrior({
    process,
    elevation: elevationM === null ? null : { fromM: elevationM, toM: elevationM },
    ...(roastLevel ? { roastLevel } : {}),
  });
  const calibration = valueOf(calibrateLot({ brews: known, prior }));
  const brew = conditionsOfPlan({ plan, kit: task.lot.kit, roastAgeDays });
  const forecast = valueOf(forecastBrew({ calibration, brew }));
  const cup = trueCup(task, plan);
  return Object.fromEntries(
    FIGURES.map((figure) => [figure, missOf(forecast, figure, cup[figure])]),
  ) as Misses;
}

function missOf(forecast: CalibratedForecast, figure: Figure, really: number) {
  const { value, low, high } = forecast[figure];
  return { miss: value - really, isHeld: really >= low && really <= high };
}

/** By how much of itself the spread of one brewer's misses shrinks at most, once the other's are known. */
function sharedPart(lots: readonly OneLot[], figure: Figure): number {
  const of = (misses: (lot: OneLot) => Misses) => lots.map((lot) => misses(lot)[figure].miss);
  const together = sampleCorrelation(
    of(({ elsewhere }) => elsewhere),
    of(({ first }) => first.alone),
  );
  return 1 - Math.sqrt(1 - together ** 2);
}

function mean(values: readonly number[]): number {
  return values.reduce((sum, each) => sum + each, 0) / values.length;
}
