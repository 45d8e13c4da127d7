import { fields, guarded, list, nullable, optional } from '../input/shape.js';
import * as extractions from './checkedExtraction.js';
import * as refractometers from './refractometer.js';

// What the core hands out of this folder, refusing input that is not even of its shape: each is the function of the
// same name, whose docstring says what it does. Inside the core the bare ones are called.

const THREE_FIGURES = fields({ tdsPercent: 'number', beverageG: 'number', doseG: 'number' });

/** {@link extractions.ratioLineTdsPercent} */
export const ratioLineTdsPercent = guarded(
  fields({ yieldPercent: 'number', waterPerDose: 'number', retainedGPerG: optional('number') }),
  extractions.ratioLineTdsPercent,
);

/** {@link extractions.yieldUncertainty} */
export const yieldUncertainty = guarded(
  fields({ measured: THREE_FIGURES, standard: THREE_FIGURES }),
  extractions.yieldUncertainty,
);

/** {@link refractometers.correctForZero} */
export const correctForZero = guarded(
  fields({ tdsPercents: list('number'), zeroBeforePercent: 'number', zeroAfterPercent: optional('number') }),
  refractometers.correctForZero,
);

/** {@link refractometers.sampleNotes} */
export const sampleNotes = guarded(
  fields({
    sampleC: 'number',
    zeroedAtC: nullable('number'),
    instrument: fields({ lowestC: 'number', highestC: 'number' }),
  }),
  refractometers.sampleNotes,
);

/** {@link refractometers.outlyingReading} */
export const outlyingReading = guarded(
  fields({ tdsPercents: list('number') }),
  refractometers.outlyingReading,
);
