import { ValidateBy } from 'class-validator';
import { broughtUp, entryFault } from '@vendu/core';

/** More than a brew of two hours with a flickering scale comes to. */
const MOST_ENTRIES = 2000;

/** Entries of the log of a brew, checked by core, which names the entry and its field. Constraint name: `brewEntries`. */
export function BrewEntries(): PropertyDecorator {
  return ValidateBy(
    {
      name: 'brewEntries',
      validator: {
        validate: (value) => entriesFault(value) === null,
        defaultMessage: (args) => entriesFault(args?.value) ?? '',
      },
    },
    { context: { allowed: `at most ${MOST_ENTRIES} entries of a brew` } },
  );
}

function entriesFault(value: unknown): string | null {
  if (!Array.isArray(value)) return 'Entries must be a list.';
  if (value.length > MOST_ENTRIES) return `A brew has at most ${MOST_ENTRIES} entries.`;
  for (const [index, entry] of value.entries()) {
    const fault = entryFault(broughtUp(entry));
    if (fault) return `Entry ${index + 1} of the brew: ${fault.message}`;
  }
  return null;
}
