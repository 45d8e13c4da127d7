import { ValidateBy, type ValidationOptions } from 'class-validator';
import { isMatch } from 'date-fns';
import { LABEL_NOTES } from '../lots/lotFields.js';

// One decorator per kind of field, each with one sentence that names the field and the allowed range.
// Server and forms show the same sentence.

export interface NumberRange {
  label: string;
  unit: string;
  min: number;
  max: number;
  /** Whole numbers only. */
  whole?: boolean;
}

function rangeText({ unit, min, max }: NumberRange): string {
  return `${min} to ${max}${unit === '' ? '' : ` ${unit}`}`;
}

/** A number within a closed range. Constraint name for schemas: `numberBetween`. */
export function NumberBetween(range: NumberRange, options?: ValidationOptions): PropertyDecorator {
  const allowed = rangeText(range);
  return ValidateBy(
    {
      name: 'numberBetween',
      constraints: [range],
      validator: {
        validate: (value) =>
          typeof value === 'number' &&
          value >= range.min &&
          value <= range.max &&
          (!range.whole || Number.isInteger(value)),
        defaultMessage: () =>
          `${range.label} must be ${range.whole ? 'a whole number from ' : ''}${allowed}.`,
      },
    },
    { ...options, context: { allowed } },
  );
}

export interface TextLength {
  label: string;
  max: number;
  required?: boolean;
}

/** Text up to a length; `required` text must have more than blanks. Constraint name: `textUpTo`. */
export function TextUpTo(length: TextLength, options?: ValidationOptions): PropertyDecorator {
  const allowed = `${length.required ? '1' : '0'} to ${length.max} characters`;
  return ValidateBy(
    {
      name: 'textUpTo',
      constraints: [length],
      validator: {
        validate: (value) =>
          typeof value === 'string' &&
          value.length <= length.max &&
          (!length.required || value.trim() !== ''),
        defaultMessage: (args) =>
          length.required && (typeof args?.value !== 'string' || args.value.trim() === '')
            ? `${length.label} is required.`
            : `${length.label} must be text of ${allowed}.`,
      },
    },
    { ...options, context: { allowed } },
  );
}

/** Text as by `TextUpTo`, without a figure in it: figures have a place of their own. Constraint name: `wordsOnly`. */
export function WordsOnly(
  length: Omit<TextLength, 'required'>,
  options?: ValidationOptions,
): PropertyDecorator {
  const allowed = `0 to ${length.max} characters without a figure`;
  return ValidateBy(
    {
      name: 'wordsOnly',
      constraints: [length],
      validator: {
        validate: (value) => typeof value === 'string' && value.length <= length.max && !/\d/.test(value),
        defaultMessage: () =>
          options?.each
            ? `Each ${length.label.toLowerCase()} must be text of ${allowed}: figures come from the version.`
            : `${length.label} must be text of ${allowed}: figures come from the version.`,
      },
    },
    { ...options, context: { allowed } },
  );
}

export interface Choice {
  label: string;
  values: readonly string[];
}

/** One of a closed list. Constraint name: `oneOf`. */
export function OneOf(choice: Choice, options?: ValidationOptions): PropertyDecorator {
  const allowed = choice.values.join(', ');
  return ValidateBy(
    {
      name: 'oneOf',
      constraints: [choice],
      validator: {
        validate: (value) => typeof value === 'string' && choice.values.includes(value),
        defaultMessage: () => `${choice.label} must be one of: ${choice.values.map(asSaid).join(', ')}.`,
      },
    },
    { ...options, context: { allowed } },
  );
}

/** Identifiers as a person says them. */
function asSaid(value: string): string {
  return value.replaceAll('-', ' ');
}

export interface DateRule {
  label: string;
  notInFuture?: boolean;
}

/** No lot here was roasted before, none is planned after: what lies outside is a slip of the keyboard. */
const EARLIEST_DATE = '2000-01-01';
const LATEST_DATE = '2099-12-31';

/** A calendar date of this century, `2026-11-20`. Constraint name: `calendarDate`. */
export function CalendarDate(rule: DateRule, options?: ValidationOptions): PropertyDecorator {
  const allowed = rule.notInFuture ? 'a date up to today, as 2026-11-20' : 'a date, as 2026-11-20';
  return ValidateBy(
    {
      name: 'calendarDate',
      constraints: [rule],
      validator: {
        validate: (value) =>
          typeof value === 'string' &&
          isCalendarDate(value) &&
          value >= EARLIEST_DATE &&
          value <= LATEST_DATE &&
          (!rule.notInFuture || value <= latestToday()),
        defaultMessage: (args) =>
          typeof args?.value !== 'string' || args.value === ''
            ? `${rule.label} is required.`
            : rule.notInFuture && isCalendarDate(args.value) && args.value > latestToday()
              ? `${rule.label} lies in the future; enter today or earlier.`
              : `${rule.label} must be ${allowed}.`,
      },
    },
    { ...options, context: { allowed } },
  );
}

/** A day that the calendar has: 2026-02-30 is none, and lies in no future. */
function isCalendarDate(text: string): boolean {
  return /^\d{4}-\d{2}-\d{2}$/.test(text) && isMatch(text, 'yyyy-MM-dd');
}

/** Today where it is latest on earth, so that no lab's own today counts as the future. */
function latestToday(): string {
  return new Date(Date.now() + 14 * 3_600_000).toISOString().slice(0, 10);
}

/** A time of the day as a clock shows it, `06:30`. Constraint name: `clockTime`. */
export function ClockTime({ label }: { label: string }, options?: ValidationOptions): PropertyDecorator {
  const allowed = '00:00 to 23:59';
  return ValidateBy(
    {
      name: 'clockTime',
      validator: {
        validate: (value) => typeof value === 'string' && /^([01]\d|2[0-3]):[0-5]\d$/.test(value),
        defaultMessage: () => `${label} must be a time of day, ${allowed}.`,
      },
    },
    { ...options, context: { allowed } },
  );
}

/** An object where one is nested: a list in its place would be looked through item by item, and an empty one taken. */
export function IsPlainObject(options?: ValidationOptions): PropertyDecorator {
  return ValidateBy(
    {
      name: 'isPlainObject',
      validator: {
        validate: (value) => typeof value === 'object' && value !== null && !Array.isArray(value),
        defaultMessage: (args) => `${args?.property ?? 'This'} must be an object.`,
      },
    },
    options,
  );
}

/** One note of a label: short, and no list in itself. Constraint name: `labelNote`. */
export function LabelNote(options?: ValidationOptions): PropertyDecorator {
  const allowed = `notes of 1 to ${LABEL_NOTES.longestNote} characters`;
  return ValidateBy(
    {
      name: 'labelNote',
      constraints: [LABEL_NOTES],
      validator: {
        validate: (value) =>
          typeof value === 'string' &&
          value.trim() !== '' &&
          value.length <= LABEL_NOTES.longestNote &&
          !/[,;\n]/.test(value),
        defaultMessage: () =>
          `Each label note must be text of 1 to ${LABEL_NOTES.longestNote} characters, without commas.`,
      },
    },
    { ...options, context: { allowed } },
  );
}
