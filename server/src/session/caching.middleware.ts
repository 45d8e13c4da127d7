import type { RequestHandler } from 'express';

/** Of people, and of what opens doors: nothing of it stays on a device that others use too. */
const NEVER_KEPT =
  /^\/(session|sessions|people|invitations|password|second-factor|code-rule|tokens|webhooks|calendar|operations)(\/|$)/;

/**
 * What the API answers is of who is signed in: no cache between keeps it, and a browser asks each time whether it still
 * holds. Routes that are public say otherwise themselves.
 */
export const cachingMiddleware: RequestHandler = (request, response, next) => {
  response.setHeader('Cache-Control', NEVER_KEPT.test(request.path) ? 'no-store' : 'private, no-cache');
  next();
};
