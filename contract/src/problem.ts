import type { FieldError } from './validation/fieldError.js';

/** Every error of the API, as application/problem+json (RFC 9457). `type` is a path under `/problems/`. */
export interface Problem {
  type: string;
  title: string;
  status: number;
  detail: string;
  instance: string;
  requestId: string;
  errors: FieldError[];
}

/** The closed set of problems; the last part of `Problem.type`. */
export const PROBLEM_KINDS = [
  'invalid-input',
  'not-json',
  'not-readable',
  'too-large',
  'not-signed-in',
  'wrong-sign-in',
  'code-needed',
  'code-due',
  'not-allowed',
  'not-found',
  'stale',
  'conflict',
  'too-many-requests',
  'busy',
  'unavailable',
  'unknown-outcome',
  'full',
  'defect',
] as const;
export type ProblemKind = (typeof PROBLEM_KINDS)[number];
