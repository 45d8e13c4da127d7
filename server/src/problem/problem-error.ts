import type { FieldError, ProblemKind } from '@vendu/contract';

/** An expected failure on its way to the client. Services throw it; the problem filter alone turns it into HTTP. */
export class ProblemError extends Error {
  constructor(
    readonly kind: ProblemKind,
    readonly detail: string,
    readonly errors: FieldError[] = [],
    /** When to try again, where that makes sense, s. */
    readonly retryAfterS = 2,
  ) {
    super(detail);
  }
}

export function notFound(what: string): ProblemError {
  return new ProblemError('not-found', `There is no such ${what}; it may have been removed.`);
}

export function invalidField(error: FieldError): ProblemError {
  return new ProblemError('invalid-input', error.message, [error]);
}
