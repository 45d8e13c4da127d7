import session from 'express-session';
import type { RequestHandler } from 'express';
import { SESSION_AGE_MS, SessionStore } from './session-store.js';

declare module 'express-session' {
  interface SessionData {
    /** Of whoever signed in with it. */
    personId?: number;
    /** Browser and system that it was begun on, in words. */
    device?: string;
    begunMs?: number;
  }
}

/** By https browsers take a cookie of such a name from this host alone, by https, for all of it. */
const HELD_TO_HOST = '__Host-';
const NAME = 'vendu.sid';

/** An http-only cookie that names a row of the sessions table; no row is made before sign-in. */
export function sessionMiddleware({ secret }: { secret: string }): RequestHandler {
  const sessionsBy = (secure: boolean) =>
    session({
      name: secure ? `${HELD_TO_HOST}${NAME}` : NAME,
      secret,
      // One each: it is the store that makes a session anew, with the cookie of whoever it was handed to.
      store: new SessionStore(),
      resave: false,
      saveUninitialized: false,
      rolling: true,
      // `lax` keeps other sites from posting with our cookie.
      cookie: { httpOnly: true, sameSite: 'lax', secure, maxAge: SESSION_AGE_MS, path: '/' },
    });
  const [byHttps, byHttp] = [sessionsBy(true), sessionsBy(false)];
  return (request, response, next) => (request.secure ? byHttps : byHttp)(request, response, next);
}
