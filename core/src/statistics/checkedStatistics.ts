import { firstOutOfRange, outOfRange, type OutOfRange, type Range } from '../input/ranges.js';
import { failure, success, type Failure, type Result } from '../result.js';
import * as power from './blindPower.js';
import * as discrimination from './discrimination.js';
import * as ranks from './friedman.js';
import * as charts from './individualsChart.js';
import * as orders from './servingOrders.js';

const ASSESSORS: Range = { low: 1, high: 10_000, unit: 'answers' };
const ALPHA: Range = { low: 1e-9, high: 0.5, unit: '' };
const SHARE: Range = { low: 0, high: 1, unit: '' };
const VALUE: Range = { low: -1e12, high: 1e12, unit: '' };

type NotWhole = Failure<'not-a-whole-number'>;

function notWhole(counts: Record<string, number>): NotWhole | null {
  const found = Object.entries(counts).find(([, count]) => !Number.isInteger(count));
  return found
    ? failure('not-a-whole-number', `${found[0]} is ${found[1]}; it must be a whole number.`)
    : null;
}

/** {@link discrimination.discriminationPValue}, its counts checked. */
export function discriminationPValue(
  input: Parameters<typeof discrimination.discriminationPValue>[0],
): Result<number, OutOfRange | NotWhole> {
  const { assessors, correct } = input;
  return (
    firstOutOfRange(input, {
      assessors: ASSESSORS,
      correct: { low: 0, high: assessors, unit: 'answers' },
    }) ??
    notWhole({ assessors, correct }) ??
    success(discrimination.discriminationPValue(input))
  );
}

/** {@link discrimination.fewestCorrect}, its input checked; too few assessors for the alpha is a failure. */
export function fewestCorrect(
  input: Parameters<typeof discrimination.fewestCorrect>[0],
): Result<number, OutOfRange | NotWhole | Failure<'too-few-assessors'>> {
  const fault =
    firstOutOfRange(input, { assessors: ASSESSORS, alpha: ALPHA }) ??
    notWhole({ assessors: input.assessors });
  if (fault) return fault;
  const fewest = discrimination.fewestCorrect(input);
  return fewest === null
    ? failure(
        'too-few-assessors',
        `Even ${input.assessors} right of ${input.assessors} would not do at ${input.alpha}.`,
      )
    : success(fewest);
}

/** {@link power.blindPower}, its input checked. */
export function blindPower(
  input: Parameters<typeof power.blindPower>[0],
): Result<number, OutOfRange | NotWhole> {
  return (
    firstOutOfRange(input, { assessors: ASSESSORS, alpha: ALPHA, noticing: SHARE }) ??
    notWhole({ assessors: input.assessors }) ??
    success(power.blindPower(input))
  );
}

/** {@link power.assessorsNeeded}, its input checked; where no number of tasters would do is a failure. */
export function assessorsNeeded(
  input: Parameters<typeof power.assessorsNeeded>[0],
): Result<number, OutOfRange | Failure<'too-few-assessors'>> {
  const fault = firstOutOfRange(input, {
    alpha: ALPHA,
    noticing: SHARE,
    power: { low: 0, high: 1, unit: '' },
  });
  if (fault) return fault;
  const needed = power.assessorsNeeded(input);
  return needed === null
    ? failure('too-few-assessors', 'Two hundred tasters would not do.')
    : success(needed);
}

/** {@link orders.servingOrders}, its input checked. */
export function servingOrders(
  input: Parameters<typeof orders.servingOrders>[0],
): Result<number[][], OutOfRange | NotWhole> {
  return (
    firstOutOfRange(input, { sampleCount: { low: 2, high: 100, unit: 'samples' } }) ??
    notWhole(input) ??
    success(orders.servingOrders(input))
  );
}

/** {@link ranks.friedmanTest}, its table checked; a table without any difference is a failure. */
export function friedmanTest(
  input: Parameters<typeof ranks.friedmanTest>[0],
): Result<ranks.FriedmanResult, OutOfRange | Failure<'too-few-samples' | 'rows-differ' | 'nothing-to-rank'>> {
  const samples = input.scores[0]?.length ?? 0;
  if (samples < 2) return failure('too-few-samples', 'Ranks need two samples or more.');
  if (input.scores.some((row) => row.length !== samples)) {
    return failure('rows-differ', 'Every assessor must score the same samples.');
  }
  for (const [row, scores] of input.scores.entries()) {
    for (const [column, score] of scores.entries()) {
      const fault = outOfRange(`scores.${row}.${column}`, score, VALUE);
      if (fault) return fault;
    }
  }
  const result = ranks.friedmanTest(input);
  return result ? success(result) : failure('nothing-to-rank', 'Every assessor scored all samples alike.');
}

/** {@link charts.individualsChart}, its values checked. */
export function individualsChart(
  input: Parameters<typeof charts.individualsChart>[0],
): Result<charts.IndividualsChart, OutOfRange | NotWhole | Failure<'too-few-values'>> {
  const { values, baselineCount = values.length } = input;
  if (values.length < 2) return failure('too-few-values', 'Limits need two values or more.');
  const fault =
    notWhole({ baselineCount }) ??
    outOfRange('baselineCount', baselineCount, { low: 2, high: values.length, unit: 'values' });
  if (fault) return fault;
  for (const [index, value] of values.entries()) {
    const valueFault = outOfRange(`values.${index}`, value, VALUE);
    if (valueFault) return valueFault;
  }
  return success(charts.individualsChart(input));
}
