import { choice, fields, guarded, optional } from '../input/shape.js';
import * as shapes from '../input/shapes.js';
import * as simulated from './simulatedBrewer.js';

// What the core hands out of this folder, refusing input that is not even of its shape: each is the function of the
// same name, whose docstring says what it does. Inside the core the bare ones are called.

/** {@link simulated.simulatedBrewer} */
export const simulatedBrewer = guarded(
  fields({
    conditions: shapes.CONDITIONS,
    factors: shapes.FACTORS,
    bed: optional(choice(simulated.SIMULATED_BED_NAMES)),
  }),
  simulated.simulatedBrewer,
);
