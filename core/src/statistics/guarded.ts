import { choice, fields, guarded, list, optional } from '../input/shape.js';
import * as statistics from './checkedStatistics.js';

// What the core hands out of this folder, refusing input that is not even of its shape: each is the function of the
// same name, whose docstring says what it does. Inside the core the bare ones are called.

const METHOD = choice(['triangle', 'duo-trio', 'paired']);

/** {@link statistics.discriminationPValue} */
export const discriminationPValue = guarded(
  fields({ method: METHOD, assessors: 'number', correct: 'number' }),
  statistics.discriminationPValue,
);

/** {@link statistics.fewestCorrect} */
export const fewestCorrect = guarded(
  fields({ method: METHOD, assessors: 'number', alpha: 'number' }),
  statistics.fewestCorrect,
);

/** {@link statistics.blindPower} */
export const blindPower = guarded(
  fields({ method: METHOD, alpha: 'number', noticing: 'number', assessors: 'number' }),
  statistics.blindPower,
);

/** {@link statistics.assessorsNeeded} */
export const assessorsNeeded = guarded(
  fields({ method: METHOD, alpha: 'number', noticing: 'number', power: 'number' }),
  statistics.assessorsNeeded,
);

/** {@link statistics.servingOrders} */
export const servingOrders = guarded(fields({ sampleCount: 'number' }), statistics.servingOrders);

/** {@link statistics.friedmanTest} */
export const friedmanTest = guarded(fields({ scores: list(list('number')) }), statistics.friedmanTest);

/** {@link statistics.individualsChart} */
export const individualsChart = guarded(
  fields({ values: list('number'), baselineCount: optional('number') }),
  statistics.individualsChart,
);
