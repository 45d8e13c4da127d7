import { choice, fields, guarded, list, optional } from '../input/shape.js';
import * as shapes from '../input/shapes.js';
import * as chemistry from './checkedWater.js';
import * as concentrates from './concentrates.js';
import { SALTS } from './salts.js';

// What the core hands out of this folder, refusing input that is not even of its shape: each is the function of the
// same name, whose docstring says what it does. Inside the core the bare ones are called.

const BICARBONATES = ['sodium bicarbonate', 'potassium bicarbonate'];

/** {@link chemistry.waterChemistry} */
export const waterChemistry = guarded(fields({ saltsMgPerL: fields({}) }), chemistry.waterChemistry);

/** {@link chemistry.saltsForWater} */
export const saltsForWater = guarded(
  fields({
    target: shapes.WATER,
    hardnessSalt: choice(Object.keys(SALTS).filter((salt) => !BICARBONATES.includes(salt))),
    alkalinitySalt: choice(BICARBONATES),
  }),
  chemistry.saltsForWater,
);

/** {@link chemistry.blendWaters} */
export const blendWaters = guarded(
  fields({ first: shapes.WATER, second: shapes.WATER, target: shapes.WATER }),
  chemistry.blendWaters,
);

/** {@link concentrates.concentrateDoses} */
export const concentrateDoses = guarded(
  fields({
    base: shapes.WATER,
    target: shapes.WATER,
    concentrates: list(
      fields({ hardnessPerG: 'number', alkalinityPerG: 'number', mostG: optional('number') }),
    ),
  }),
  concentrates.concentrateDoses,
);
