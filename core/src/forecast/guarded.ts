import { fields, guarded, nullable, optional } from '../input/shape.js';
import * as shapes from '../input/shapes.js';
import * as plans from './forecastPlan.js';
import * as outcomes from './outcome.js';
import * as scales from './scalePlan.js';

// What the core hands out of this folder, refusing input that is not even of its shape: each is the function of the
// same name, whose docstring says what it does. Inside the core the bare ones are called.

const MEASURED_FIGURE = nullable(fields({ value: 'number', sd: 'number' }));

/** {@link plans.forecastPlan} */
export const forecastPlan = guarded(
  fields({
    plan: shapes.PLAN,
    kit: shapes.KIT,
    factors: optional(shapes.FACTORS),
    roastAgeDays: optional('number'),
  }),
  plans.forecastPlan,
);

/** {@link scales.scalePlan} */
export const scalePlan = guarded(
  fields({
    plan: shapes.PLAN,
    kit: shapes.KIT,
    toKit: optional(shapes.KIT),
    doseG: 'number',
    factors: optional(shapes.FACTORS),
  }),
  scales.scalePlan,
);

/** {@link outcomes.brewOutcome} */
export const brewOutcome = guarded(
  fields({
    calibration: shapes.CALIBRATION,
    done: fields({
      plan: shapes.PLAN,
      steps: shapes.STEPS_DONE,
      events: shapes.EVENTS,
      doseG: 'number',
      roastAgeDays: 'number',
    }),
    kit: shapes.KIT,
    measured: fields({
      drawdownS: MEASURED_FIGURE,
      tdsPercent: MEASURED_FIGURE,
      yieldPercent: MEASURED_FIGURE,
    }),
  }),
  outcomes.brewOutcome,
);
