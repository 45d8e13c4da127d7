import { fields, guarded, optional } from '../input/shape.js';
import * as shapes from '../input/shapes.js';
import * as taught from './lotTaught.js';

// What the core hands out of this folder, refusing input that is not even of its shape: each is the function of the
// same name, whose docstring says what it does. Inside the core the bare ones are called.

/** {@link taught.lotTaught} */
export const lotTaught = guarded(
  fields({
    plan: shapes.PLAN,
    kit: shapes.KIT,
    calibration: shapes.CALIBRATION,
    roastAgeDays: optional('number'),
  }),
  taught.lotTaught,
);
