import { randomUUID } from 'node:crypto';
import type { RequestHandler } from 'express';

/** Names every request, before anything can fail, so that log and problem show the same id. */
export const requestIdMiddleware: RequestHandler = (request, response, next) => {
  request.id = randomUUID();
  response.setHeader('X-Request-Id', request.id);
  next();
};
