import { fields, guarded, list } from '../input/shape.js';
import * as shapes from '../input/shapes.js';
import * as drainTimes from './grindFromDrainTimes.js';

// Apart from the folder's other guards: it brews with the model, which a page that only reckons need not load.

/** {@link drainTimes.grindFromDrainTimes} */
export const grindFromDrainTimes = guarded(
  fields({
    brew: shapes.CONDITIONS,
    known: fields({ grindUm: 'number', drawdownS: 'number' }),
    drained: list(fields({ setting: 'number', drawdownS: 'number' })),
  }),
  drainTimes.grindFromDrainTimes,
);
