import type { Request, RequestHandler } from 'express';
import { ProblemError } from '../problem/problem-error.js';

const READS_ONLY = ['GET', 'HEAD', 'OPTIONS'];
/** What a page of anybody's can post without asking first. */
const FORM_TYPES = ['application/x-www-form-urlencoded', 'multipart/form-data', 'text/plain'];

/**
 * Refuses what another site's page would have a signed-in browser do: a change that comes from a page of another origin,
 * or, where the browser says nothing of the page, one in the form of a plain form post. Instruments have no session
 * and no page; their feeds stand behind a secret of their own.
 */
export const originMiddleware: RequestHandler = (request, _response, next) => {
  const isPast = READS_ONLY.includes(request.method) || request.path.startsWith('/instrument-feeds/');
  if (isPast || isFromOwnPage(request)) next();
  else next(new ProblemError('not-allowed', 'This was sent from another site, so it was refused.'));
};

function isFromOwnPage(request: Request): boolean {
  const origin = request.get('origin');
  if (origin === undefined) return request.is(FORM_TYPES) === false || request.is(FORM_TYPES) === null;
  // A page without an origin of its own says “null”.
  return URL.canParse(origin) && new URL(origin).host === request.get('host');
}
