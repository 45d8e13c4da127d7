import { fields, guarded, list, optional } from '../input/shape.js';
import * as shapes from '../input/shapes.js';
import * as afterBrews from './afterBrew.js';
import * as traces from './compareTrace.js';

// What the core hands out of this folder, refusing input that is not even of its shape: each is the function of the
// same name, whose docstring says what it does. Inside the core the bare ones are called.

/** {@link traces.compareTrace} */
export const compareTrace = guarded(
  fields({
    plan: shapes.PLAN,
    trace: list(fields({ atS: 'number', totalG: 'number' })),
    agitatedAtS: optional(list('number')),
  }),
  traces.compareTrace,
);

/** {@link afterBrews.afterBrew} */
export const afterBrew = guarded(
  fields({ roomC: 'number', beverageC: optional('number') }),
  afterBrews.afterBrew,
);
