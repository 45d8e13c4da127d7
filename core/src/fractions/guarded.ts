import { choice, fields, guarded, nullable } from '../input/shape.js';
import * as shapes from '../input/shapes.js';
import * as series from './alignSeries.js';
import * as cups from './cumulative.js';
import * as cuts from './recut.js';
import * as lifts from './liftedEarly.js';
import * as waters from './keepWanted.js';
import * as turns from './turn.js';

// What the core hands out of this folder, refusing input that is not even of its shape: each is the function of the
// same name, whose docstring says what it does. Inside the core the bare ones are called.

/** {@link cups.cumulativeFractions} */
export const cumulativeFractions = guarded(
  fields({ fractions: shapes.FRACTIONS, doseG: 'number' }),
  cups.cumulativeFractions,
);

/** {@link waters.stoppedCup} */
export const stoppedCup = guarded(
  fields({ fractions: shapes.FRACTIONS, doseG: 'number', stopS: 'number' }),
  waters.stoppedCup,
);

/** {@link cuts.recut} */
export const recut = guarded(
  fields({
    plan: shapes.PLAN,
    cut: fields({
      liftAtS: nullable('number'),
      lateWater: choice(lifts.LATE_WATERS),
      early: nullable(fields({ share: 'number', beforeS: 'number' })),
      dropsBloom: 'yes or no',
    }),
  }),
  cuts.recut,
);

/** {@link series.alignSeries} */
export const alignSeries = guarded(
  fields({ first: shapes.FRACTIONS, second: shapes.FRACTIONS, by: choice(['time', 'mass']) }),
  series.alignSeries,
);

/** {@link turns.turnOf} */
export const turnOf = guarded(fields({ fractions: shapes.FRACTIONS }), turns.turnOf);
