import { choice, fields, guarded, list, nullable, optional } from '../input/shape.js';
import * as shapes from '../input/shapes.js';
import * as kitchen from './kitchenAdvice.js';
import { KITCHEN_TASTES } from './kitchenTaste.js';

// What the core hands out of this folder, refusing input that is not even of its shape: each is the function of the
// same name, whose docstring says what it does. Inside the core the bare ones are called.

/** {@link kitchen.kitchenAdvice} */
export const kitchenAdvice = guarded(
  fields({
    plan: shapes.PLAN,
    kit: shapes.KIT,
    factors: optional(shapes.FACTORS),
    provenS: optional(nullable('number')),
    drainedS: 'number',
    taste: choice(KITCHEN_TASTES),
    grinder: optional(
      nullable(
        fields({
          points: list(fields({ setting: 'number', grindUm: 'number', sdUm: optional('number') })),
          settingStep: 'number',
          setting: 'number',
        }),
      ),
    ),
  }),
  kitchen.kitchenAdvice,
);
