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

/** An http-only cookie that names a row of the sessions table; no row is made before sign-in. */
export function sessionMiddleware({ secret }: { secret: string }): RequestHandler {
  return session({
    name: 'vendu.sid',
    secret,
    store: new SessionStore(),
    resave: false,
    saveUninitialized: false,
    rolling: true,
    // `lax` keeps other sites from posting with our cookie; `auto` sends it by https alone where it was asked for by https.
    cookie: { httpOnly: true, sameSite: 'lax', secure: 'auto', maxAge: SESSION_AGE_MS, path: '/' },
  });
}
