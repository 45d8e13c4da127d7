import type { RequestHandler } from 'express';
import { ProblemError } from '../problem/problem-error.js';

/** What a phone at coded cups asks for. */
const OF_PHONES = /^\/blind\//;
const OWN_MACHINE = ['127.0.0.1', '::1', '::ffff:127.0.0.1'];

/**
 * Keeps what is asked for from other machines of the network to the pages of tasters: passwords and everything else of a
 * lab do not go over it in the clear.
 */
export const phonesMiddleware: RequestHandler = ({ socket, path }, _response, next) => {
  if (OWN_MACHINE.includes(socket.remoteAddress ?? '') || OF_PHONES.test(path)) next();
  else next(new ProblemError('not-allowed', 'From another machine only the pages of tasters can be opened.'));
};
