import { randomBytes } from 'node:crypto';
import type { RequestHandler, Response } from 'express';

/** A word for each answer, that nobody can guess: styles which the application itself adds to its page show it. */
export const styleNonceMiddleware: RequestHandler = (_request, response, next) => {
  response.locals['styleNonce'] = randomBytes(16).toString('base64');
  next();
};

export const styleNonceOf = (response: Pick<Response, 'locals'>) => String(response.locals['styleNonce']);
