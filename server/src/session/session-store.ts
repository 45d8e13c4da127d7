import { Store, type SessionData } from 'express-session';
import { Op } from 'sequelize';
import { SessionModel } from './session.model.js';

type Callback<T = undefined> = (error?: unknown, value?: T) => void;

/** How long a session lives without being used, ms. */
export const SESSION_AGE_MS = 14 * 24 * 3_600_000;
/** And with being used, ms. */
const LONGEST_SESSION_MS = 180 * 24 * 3_600_000;
/** A session in use is written again this often at most, ms: a write on every request would cost each a disk flush. */
const TOUCHED_EVERY_MS = 3_600_000;

/** Keeps sessions in MariaDB, on the application's own pool. Every read checks the expiry. */
export class SessionStore extends Store {
  override get(id: string, callback: (error: unknown, session?: SessionData | null) => void): void {
    void SessionModel.findOne({ where: { id, expiresAt: { [Op.gt]: new Date() } } }).then(
      (row) => callback(null, row && !isTooOld(row) ? (JSON.parse(row.data) as SessionData) : null),
      callback,
    );
  }

  override set(id: string, session: SessionData, callback?: Callback): void {
    const { personId = null, device = '', begunMs } = session;
    void SessionModel.upsert({
      id,
      data: JSON.stringify(session),
      expiresAt: expiryOf(session),
      personId,
      device,
      begunAt: begunMs === undefined ? null : new Date(begunMs),
    }).then(() => callback?.(), callback);
  }

  override destroy(id: string, callback?: Callback): void {
    // Signing out is also when the dead sessions of others are swept out.
    void SessionModel.destroy({ where: { [Op.or]: [{ id }, { expiresAt: { [Op.lt]: new Date() } }] } }).then(
      () => callback?.(),
      callback,
    );
  }

  override touch(id: string, session: SessionData, callback?: () => void): void {
    const expiresAt = expiryOf(session);
    const writtenBefore = new Date(expiresAt.getTime() - TOUCHED_EVERY_MS);
    void SessionModel.update({ expiresAt }, { where: { id, expiresAt: { [Op.lt]: writtenBefore } } }).then(
      () => callback?.(),
      () => callback?.(),
    );
  }
}

/** One that is used day after day ends all the same: a device that was given away does not stay signed in. */
function isTooOld({ begunAt }: SessionModel): boolean {
  return begunAt !== null && begunAt.getTime() < Date.now() - LONGEST_SESSION_MS;
}

function expiryOf({ cookie }: SessionData): Date {
  return new Date(Date.now() + (cookie.maxAge ?? SESSION_AGE_MS));
}
