import type { SerializedError } from '@reduxjs/toolkit';
import type { FetchBaseQueryError } from '@reduxjs/toolkit/query';
import type { FieldError, Problem } from '@vendu/contract';

type QueryError = FetchBaseQueryError | SerializedError | undefined;

/** What a screen shows of a failed request. */
export interface Trouble {
  kind: string;
  detail: string;
  errors: FieldError[];
}

const NO_ANSWER: Trouble = {
  kind: 'no-answer',
  detail: 'The server does not answer. What you typed is kept on this device; try again.',
  errors: [],
};

/** Reads the problem details out of a failed request; a request that got no answer has its own. */
export function troubleOf(error: QueryError): Trouble | null {
  if (error === undefined) return null;
  const data = 'data' in error ? error.data : undefined;
  return isProblem(data)
    ? { kind: data.type.replace('/problems/', ''), detail: data.detail, errors: data.errors }
    : NO_ANSWER;
}

/** A trouble as a form sees it whose fields the server knows under `prefix`. */
export function troubleUnder(trouble: Trouble | null, prefix: string): Trouble | null {
  return (
    trouble && {
      ...trouble,
      errors: trouble.errors.map((error) => ({ ...error, field: error.field.replace(prefix, '') })),
    }
  );
}

/** Complaints by field, with `prefix.` cut off the paths: forms know their own fields only. */
export function byField(errors: readonly FieldError[], prefix = ''): Record<string, string> {
  return Object.fromEntries(
    errors.map(({ field, message }) => [
      field.startsWith(prefix) ? field.slice(prefix.length) : field,
      message,
    ]),
  );
}

function isProblem(data: unknown): data is Problem {
  return typeof data === 'object' && data !== null && 'type' in data && 'detail' in data && 'errors' in data;
}
