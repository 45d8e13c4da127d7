import { HttpException } from '@nestjs/common';
import { ForeignKeyConstraintError, OptimisticLockError, UniqueConstraintError } from 'sequelize';
import type { ProblemKind } from '@vendu/contract';
import { isBusy, isFull, isGone, isTooLong, isUnstorable } from '../database/database-faults.js';
import { ProblemError } from './problem-error.js';

/** Status and title of each kind of problem: the one place where the application meets HTTP errors. */
export const PROBLEMS: Record<ProblemKind, { status: number; title: string }> = {
  'invalid-input': { status: 422, title: 'Some fields need correcting' },
  'not-json': { status: 400, title: 'The request cannot be read' },
  'not-readable': { status: 400, title: 'The request cannot be read' },
  'too-large': { status: 413, title: 'The request is too large' },
  'not-signed-in': { status: 401, title: 'Sign in first' },
  'wrong-sign-in': { status: 401, title: 'Not signed in' },
  'code-needed': { status: 401, title: 'A code is asked for too' },
  'code-due': { status: 401, title: 'Set up a code first' },
  'not-allowed': { status: 403, title: 'Not allowed' },
  'not-found': { status: 404, title: 'Not found' },
  stale: { status: 409, title: 'Somebody else saved in the meantime' },
  conflict: { status: 409, title: 'In conflict with what is saved' },
  'too-many-requests': { status: 429, title: 'Too many attempts' },
  busy: { status: 503, title: 'Somebody else is saving the same' },
  unavailable: { status: 503, title: 'The database does not answer' },
  'unknown-outcome': { status: 503, title: 'Not known whether it was saved' },
  full: { status: 507, title: 'No room to store it' },
  defect: { status: 500, title: 'An error in the application' },
};

const DETAIL_BY_STATUS: Partial<Record<number, { kind: ProblemKind; detail: string }>> = {
  400: { kind: 'not-json', detail: 'The body of the request is not valid JSON.' },
  404: { kind: 'not-found', detail: 'There is nothing at this address.' },
  413: { kind: 'too-large', detail: 'The body of the request is too large for this address.' },
  415: { kind: 'not-json', detail: 'The body of the request must be JSON.' },
  429: { kind: 'too-many-requests', detail: 'Too many attempts to sign in; wait a minute.' },
};

/**
 * Turns anything thrown into a problem. What it does not know is a defect, and is told apart as such. That nothing was
 * stored is said only by who knows it, which is whoever rolled it back.
 */
export function classify(thrown: unknown): ProblemError {
  if (thrown instanceof ProblemError) return thrown;
  const status = statusOf(thrown);
  const byStatus = DETAIL_BY_STATUS[status];
  if (byStatus) return new ProblemError(byStatus.kind, byStatus.detail);
  if (status >= 400 && status < 500) {
    return new ProblemError('not-readable', 'This kind of request is not understood here.');
  }
  if (thrown instanceof OptimisticLockError) {
    return new ProblemError('stale', 'This was saved by somebody else since you opened it.');
  }
  if (thrown instanceof UniqueConstraintError) return new ProblemError('conflict', 'This exists already.');
  if (thrown instanceof ForeignKeyConstraintError) {
    return new ProblemError('conflict', 'Something that this refers to does not exist.');
  }
  if (isBusy(thrown))
    return new ProblemError('busy', 'Somebody else is saving the same just now. Try again.');
  if (isFull(thrown)) {
    return new ProblemError(
      'full',
      'The disk of the database is full: check whether it was saved. Whoever keeps the machine has to make room; what you typed is kept on this device.',
    );
  }
  if (isUnstorable(thrown)) {
    return new ProblemError('invalid-input', 'A figure or a text is outside what can be stored.');
  }
  if (isTooLong(thrown)) {
    return new ProblemError('unavailable', 'The database takes too long just now. Try again in a moment.');
  }
  if (isGone(thrown)) {
    return new ProblemError('unavailable', 'The database does not answer just now. Try again in a moment.');
  }
  return new ProblemError(
    'defect',
    'Something went wrong. Check whether it was saved before sending it again; if it keeps happening, report the request id.',
  );
}

/** Nest's exceptions carry a status by method, the body parser's errors as a property. */
function statusOf(thrown: unknown): number {
  if (thrown instanceof HttpException) return thrown.getStatus();
  if (thrown instanceof Error && 'status' in thrown && typeof thrown.status === 'number')
    return thrown.status;
  return 0;
}
