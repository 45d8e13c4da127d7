import { createHash, randomInt } from 'node:crypto';
import { Secret, TOTP } from 'otpauth';

/** Bits of a secret: as many as the sum that codes are made by has (RFC 4226, section 4, asks for 128 or more). */
const SECRET_BYTES = 20;
/** A code is good for so long, and as its neighbours: clocks of phones are seconds off (RFC 6238, section 5.2). */
const STEP_S = 30;
const STEPS_OFF = 1;

/** Without letters and digits that are read for each other. */
const LETTERS = 'abcdefghjkmnpqrstuvwxyz23456789';
const RECOVERY_CODES = 10;
const RECOVERY_LETTERS = 10;

export const newSecret = () => new Secret({ size: SECRET_BYTES }).base32;

/** What an app reads from a code of squares. */
export const addressOf = (secret: string, email: string) => totpOf(secret, email).toString();

/**
 * @param code - six digits, as typed
 * @returns the half minute that it is of; `null` where it is of none of these
 */
export function stepOf(secret: string, code: string, nowMs: number): number | null {
  const token = code.replace(/\s/g, '');
  if (!/^\d{6}$/.test(token)) return null;
  const delta = totpOf(secret, '').validate({ token, timestamp: nowMs, window: STEPS_OFF });
  return delta === null ? null : Math.floor(nowMs / 1000 / STEP_S) + delta;
}

// SHA-1 and six digits are what every app can do; nothing here rests on a sum without collisions.
const totpOf = (secret: string, label: string) =>
  new TOTP({ issuer: 'Vendu', label, secret: Secret.fromBase32(secret), period: STEP_S });

/** Codes that are each good once, in two halves: `k7mpx-2wq9t`. */
export function newRecoveryCodes(): string[] {
  return Array.from({ length: RECOVERY_CODES }, () => {
    const letters = Array.from({ length: RECOVERY_LETTERS }, () => LETTERS.charAt(randomInt(LETTERS.length)));
    return `${letters.slice(0, RECOVERY_LETTERS / 2).join('')}-${letters.slice(RECOVERY_LETTERS / 2).join('')}`;
  });
}

/** As it is kept. Forty-nine bits of chance, ten guesses in a quarter of an hour: a slow sum would gain nothing. */
export const hashOfRecoveryCode = (code: string) =>
  createHash('sha256').update(code.toLowerCase().replace(/[\s-]/g, '')).digest('base64url');
