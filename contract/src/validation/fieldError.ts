import type { ValidationError } from 'class-validator';

/** What is wrong with one field of a request or a form. `field` is a path, as in `plan.pours.1.startS`. */
export interface FieldError {
  field: string;
  message: string;
  /** The range or the list of values that would be taken, where there is one. */
  allowed?: string;
}

/** Flattens class-validator's tree of errors into paths, the first complaint of each field only. */
export function fieldErrorsOf(errors: readonly ValidationError[], parent = ''): FieldError[] {
  return errors.flatMap((error) => {
    const field = parent === '' ? error.property : `${parent}.${error.property}`;
    const [name, message] = Object.entries(error.constraints ?? {})[0] ?? [];
    const context =
      name === undefined ? undefined : (error.contexts?.[name] as { allowed?: string } | undefined);
    const own =
      message === undefined
        ? []
        : [{ field, message, ...(context?.allowed ? { allowed: context.allowed } : {}) }];
    return [...own, ...fieldErrorsOf(error.children ?? [], field)];
  });
}
