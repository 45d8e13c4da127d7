import { fields, guarded, list, optional } from '../input/shape.js';
import * as shapes from '../input/shapes.js';
import * as beliefs from './drainBelief.js';

// Apart from the folder's other guards: it brews with the model, which a page that only reckons need not load.

/** {@link beliefs.drainBelief} */
export const drainBelief = guarded(
  fields({
    calibration: shapes.CALIBRATION,
    brew: shapes.CONDITIONS,
    seen: list(fields({ atS: 'number', shows: 'yes or no' })),
    outflow: optional(shapes.TRACE_POINTS),
  }),
  beliefs.drainBelief,
);
