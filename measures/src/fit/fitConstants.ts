import { runBrew, setupOf } from '@vendu/core/brewModel';
import { levenbergMarquardt } from 'ml-levenberg-marquardt';
import { inverse, Matrix } from 'ml-matrix';
import { fittedWith, priorsOf, type Fitted } from './parameters.js';
import type { Fact } from './facts.js';

const STEP_S = 0.5;
const LONGEST_S = 900;
/** A parameter is the distance from its prior in spreads; differences are taken over this much of it. */
const DIFFERENCE = 0.05;

export interface Outcome {
  drawdownS: number;
  tdsPercent: number;
  yieldPercent: number;
  beverageG: number;
}

/** What the model makes of a fact. */
export function outcomeOf({ brew, source, wordUm, brewer, paper }: Fact, fitted: Fitted): Outcome {
  const setup = setupOf(
    {
      ...brew,
      grind: { d50Um: wordUm * fitted.grindOf(source) },
      brewer: fitted.brewerOf(brewer),
      paperPerM: fitted.paperOf(paper),
    },
    fitted.model,
  );
  const { cup, drawdownS } = runBrew(setup, { stepS: STEP_S, longestS: LONGEST_S });
  const beverageKg = cup.waterKg + cup.soluteKg;
  return {
    drawdownS: drawdownS ?? LONGEST_S,
    tdsPercent: (cup.soluteKg / beverageKg) * 100,
    yieldPercent: (cup.soluteKg / setup.doseKg) * 100,
    beverageG: beverageKg * 1000,
  };
}

/** How far a fact is missed, in its standard deviations. */
export function missesOf(fact: Fact, fitted: Fitted): number[] {
  const outcome = outcomeOf(fact, fitted);
  return (Object.keys(outcome) as (keyof Outcome)[]).flatMap((figure) => {
    const known = fact[figure];
    return known ? [(outcome[figure] - known[0]) / known[1]] : [];
  });
}

export interface ConstantsFit {
  fitted: Fitted;
  constants: {
    name: string;
    value: number;
    /** What is left of the prior's spread: near 1 where the brews tell nothing of it. */
    spreadLeft: number;
  }[];
  /** Sum of squares of what is missed, in standard deviations, and of what the constants moved, in spreads. */
  missed: number;
  moved: number;
}

/** The most probable constants given brews of practice and what was believed before (Gaussian priors of the logarithms). */
export function fitConstants(facts: readonly Fact[]): ConstantsFit {
  const priors = priorsOf(facts);
  const valuesAt = (parameters: readonly number[]) =>
    priors.map(({ centre, lnSd }, index) => centre * Math.exp(lnSd * (parameters[index] ?? 0)));
  const residualsAt = (parameters: readonly number[]) => {
    const fitted = fittedWith(priors, valuesAt(parameters));
    return [...facts.flatMap((fact) => missesOf(fact, fitted)), ...parameters];
  };
  const start = priors.map(() => 0);
  const rows = residualsAt(start).length;
  const { parameterValues } = levenbergMarquardt(
    { x: Array.from({ length: rows }, (_, row) => row), y: new Array<number>(rows).fill(0) },
    (parameters) => {
      const residuals = residualsAt(parameters);
      return (row) => residuals[row] ?? 0;
    },
    { initialValues: start, gradientDifference: DIFFERENCE, maxIterations: 60, improvementThreshold: 1e-5 },
  );
  const residuals = residualsAt(parameterValues);
  const spreads = spreadsAt(residualsAt, parameterValues);
  const values = valuesAt(parameterValues);
  const squares = (list: readonly number[]) => list.reduce((sum, each) => sum + each * each, 0);
  return {
    fitted: fittedWith(priors, values),
    constants: priors.map(({ name }, index) => ({
      name,
      value: values[index] ?? NaN,
      spreadLeft: spreads[index] ?? NaN,
    })),
    missed: squares(residuals.slice(0, rows - priors.length)),
    moved: squares(parameterValues),
  };
}

/** Standard deviation of each parameter after the fit, in spreads of its prior (Laplace). */
function spreadsAt(
  residualsAt: (parameters: readonly number[]) => number[],
  parameters: readonly number[],
): number[] {
  const moved = (index: number, by: number) =>
    residualsAt(parameters.map((value, at) => (at === index ? value + by : value)));
  const jacobian = new Matrix(
    parameters.map((_, index) => {
      const low = moved(index, -DIFFERENCE);
      return moved(index, DIFFERENCE).map((up, row) => (up - (low[row] ?? 0)) / (2 * DIFFERENCE));
    }),
  );
  return inverse(jacobian.mmul(jacobian.transpose())).diagonal().map(Math.sqrt);
}
