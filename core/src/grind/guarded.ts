import { fields, guarded, list, optional } from '../input/shape.js';
import * as shapes from '../input/shapes.js';
import * as distributions from './grindDistribution.js';
import * as curves from './grinderCurve.js';
import * as sieves from './sieveGrind.js';
import * as settings from './settingForSize.js';
import * as stated from './statedSettings.js';

// What the core hands out of this folder, refusing input that is not even of its shape: each is the function of the
// same name, whose docstring says what it does. Inside the core the bare ones are called.

/** {@link distributions.grindDistribution} */
export const grindDistribution = guarded(shapes.GRIND, distributions.grindDistribution);

/** {@link distributions.blendGrinds} */
export const blendGrinds = guarded(
  fields({ first: shapes.GRIND, second: shapes.GRIND, firstShare: 'number' }),
  distributions.blendGrinds,
);

/** {@link sieves.sieveGrind} */
export const sieveGrind = guarded(
  fields({ grind: shapes.GRIND, doseG: 'number', apertureUm: 'number', passing: optional('number') }),
  sieves.sieveGrind,
);

/** {@link curves.grinderCurve} */
export const grinderCurve = guarded(
  fields({ points: list(fields({ setting: 'number', grindUm: 'number', sdUm: optional('number') })) }),
  curves.grinderCurve,
);

/** {@link settings.sizeOfSetting} */
export const sizeOfSetting = guarded(
  fields({ curve: shapes.CURVE, setting: 'number' }),
  settings.sizeOfSetting,
);

const MEASURED_GRINDER = fields({
  points: list(fields({ setting: 'number', grindUm: 'number', sdUm: optional('number') })),
  settingStep: 'number',
});

/** {@link stated.statedAgainstMeasured} */
export const statedAgainstMeasured = guarded(
  fields({
    stated: fields({ setting: 'number', otherSetting: 'number' }),
    grinder: MEASURED_GRINDER,
    other: MEASURED_GRINDER,
  }),
  stated.statedAgainstMeasured,
);
