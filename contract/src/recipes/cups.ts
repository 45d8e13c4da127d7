import { ValidateBy } from 'class-validator';
import { cupScheduleFault } from '@vendu/core';

/** When the cup of a split brew is changed, checked by core. Constraint name: `cups`. */
export function Cups(): PropertyDecorator {
  return ValidateBy(
    {
      name: 'cups',
      validator: {
        validate: (value) => cupScheduleFault(value) === null,
        defaultMessage: (args) => `Fractions: ${cupScheduleFault(args?.value)?.message ?? ''}`,
      },
    },
    { context: { allowed: 'every so many s or g, or at most 20 marks in s or g' } },
  );
}
