import { fields, guarded } from '../input/shape.js';
import * as shapes from '../input/shapes.js';
import * as drains from './plainWaterDrain.js';
import * as brews from './simulateBrew.js';

// What the core hands out of this folder, refusing input that is not even of its shape: each is the function of the
// same name, whose docstring says what it does. Inside the core the bare ones are called.

/** {@link brews.simulateBrew} */
export const simulateBrew = guarded(shapes.BREW, brews.simulateBrew);

/** {@link drains.plainWaterDrainS} */
export const plainWaterDrainS = guarded(
  fields({ brewer: shapes.BREWER, paperPerM: 'number', waterG: 'number', leftG: 'number', waterC: 'number' }),
  drains.plainWaterDrainS,
);
