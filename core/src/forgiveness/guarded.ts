import { fields, guarded, optional } from '../input/shape.js';
import * as shapes from '../input/shapes.js';
import * as spreads from './forgiveness.js';

// What the core hands out of this folder, refusing input that is not even of its shape: each is the function of the
// same name, whose docstring says what it does. Inside the core the bare ones are called.

/** {@link spreads.forgiveness} */
export const forgiveness = guarded(
  fields({
    plan: shapes.PLAN,
    kit: shapes.KIT,
    factors: optional(shapes.FACTORS),
    errors: optional(
      fields({
        grindUm: 'number',
        kettleC: 'number',
        doseG: 'number',
        pourG: 'number',
        pourS: 'number',
        paperShare: 'number',
      }),
    ),
    count: optional('number'),
    seed: optional('number'),
  }),
  spreads.forgiveness,
);
