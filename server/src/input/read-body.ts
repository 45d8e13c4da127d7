import express from 'express';
import { wellFormed } from '@vendu/core';
import { ProblemError } from '../problem/problem-error.js';

/** Largest body of a request, and how deep lists and objects in it may lie in one another. */
const LARGEST = '1mb';
const DEEPEST = 32;

const [OPEN_OBJECT, CLOSE_OBJECT, OPEN_LIST, CLOSE_LIST, QUOTE, BACKSLASH] = [...'{}[]"\\'].map((sign) =>
  sign.charCodeAt(0),
);

/**
 * Reads JSON bodies. Texts that were cut inside a character are mended, since no database keeps them; what is nested
 * deeper than anything here is refused before it is read, since reading follows the nesting.
 */
export const readJson = express.json({
  limit: LARGEST,
  verify: (_request, _response, body) => refuseDeep(body),
  reviver: (_key, value: unknown) => (typeof value === 'string' ? wellFormed(value) : value),
});

/** @throws ProblemError `not-readable` on the first level too many */
export function refuseDeep(body: Uint8Array): void {
  let depth = 0;
  let isInText = false;
  for (let index = 0; index < body.length; index++) {
    const sign = body[index];
    if (isInText) {
      if (sign === BACKSLASH) index += 1;
      else if (sign === QUOTE) isInText = false;
    } else if (sign === QUOTE) {
      isInText = true;
    } else if (sign === OPEN_OBJECT || sign === OPEN_LIST) {
      depth += 1;
      if (depth > DEEPEST) {
        throw new ProblemError(
          'not-readable',
          `The body is nested deeper than ${DEEPEST} levels, which no request here is.`,
        );
      }
    } else if (sign === CLOSE_OBJECT || sign === CLOSE_LIST) {
      depth -= 1;
    }
  }
}
