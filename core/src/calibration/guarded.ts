import { fields, guarded, list, optional } from '../input/shape.js';
import * as shapes from '../input/shapes.js';
import * as lots from './calibrateLot.js';
import * as drainTests from './drainTest.js';
import * as forecasts from './forecastBrew.js';

// What the core hands out of this folder, refusing input that is not even of its shape: each is the function of the
// same name, whose docstring says what it does. Inside the core the bare ones are called.

const DRAIN_TEST = fields({
  brewer: shapes.BREWER,
  paperPerM: 'number',
  waterG: 'number',
  leftG: 'number',
  waterC: 'number',
  seconds: 'number',
});
const SLOPES = fields({ drawdown: list('number'), tds: list('number'), beverage: list('number') });

/** {@link drainTests.paperFromDrainTest} */
export const paperFromDrainTest = guarded(DRAIN_TEST, drainTests.paperFromDrainTest);

/** {@link lots.calibrateLot} */
export const calibrateLot = guarded(
  fields({
    brews: list(shapes.MEASURED_BREW),
    prior: optional(shapes.PRIOR),
    drainTests: optional(list(DRAIN_TEST)),
    near: optional(shapes.FACTORS),
  }),
  lots.calibrateLot,
);

/** {@link forecasts.forecastBrew} */
export const forecastBrew = guarded(
  fields({ calibration: shapes.CALIBRATION, brew: shapes.CONDITIONS, slopes: optional(SLOPES) }),
  forecasts.forecastBrew,
);

/** {@link forecasts.brewSlopes} */
export const brewSlopes = guarded(
  fields({ calibration: shapes.CALIBRATION, brew: shapes.CONDITIONS }),
  forecasts.brewSlopes,
);
