import type { RequestHandler } from 'express';
import { isLoopback } from '../configuration.js';
import { ProblemError } from '../problem/problem-error.js';

/**
 * Of a lab that listens to other machines: what came past its proxy, or to it without https, is refused, so that no
 * password and no session goes over a network in the clear.
 */
export const httpsMiddleware: RequestHandler = (request, _response, next) => {
  if (request.secure || isLoopback(request.ip ?? '')) next();
  else next(new ProblemError('not-allowed', 'This lab is reached by https only.'));
};
