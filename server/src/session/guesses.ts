import { createHmac, timingSafeEqual } from 'node:crypto';
import { Inject, Injectable } from '@nestjs/common';
import type { CookieOptions, Request } from 'express';
import type { Configuration } from '../configuration.js';
import { CONFIGURATION } from '../configuration.token.js';
import { ProblemError } from '../problem/problem-error.js';

/** So many wrong passwords are mistakes; more, in so short a time, are guesses. */
const MOST_WRONG = 10;
const WITHIN_MS = 15 * 60_000;
/** Accounts that are guessed at are kept in mind, and no more of them than this. */
const MOST_KEPT = 10_000;

/** A device that has signed in to an account shows this beside its session, and keeps it when it signs out. */
const DEVICE_COOKIE = 'vendu.device';
const DEVICE_AGE_MS = 365 * 24 * 3_600_000;

/**
 * Holds up whoever guesses at one account, from however many addresses. Devices that have been in before are counted by
 * themselves, so that nobody locks a person out of his own by guessing.
 *
 * Source: device cookies, as OWASP describes them (from memory).
 */
@Injectable()
export class Guesses {
  private readonly wrongAtMs = new Map<string, number[]>();

  constructor(@Inject(CONFIGURATION) private readonly configuration: Configuration) {}

  /**
   * Counts an attempt as wrong until it turns out right: many at one moment must not all be looked at.
   *
   * @returns takes it back, where it was neither
   * @throws ProblemError `too-many-requests` where no more passwords are looked at for now
   */
  begin(email: string, request: Request): () => void {
    const key = this.keyOf(email, request);
    const recent = this.recent(key);
    const [first] = recent;
    if (recent.length < MOST_WRONG || first === undefined) {
      const atMs = Date.now();
      this.keep(key, [...recent, atMs]);
      return () => {
        const now = this.recent(key);
        if (now.includes(atMs)) this.keep(key, now.toSpliced(now.indexOf(atMs), 1));
      };
    }
    const waitS = Math.ceil((first + WITHIN_MS - Date.now()) / 1000);
    throw new ProblemError(
      'too-many-requests',
      `Too many wrong passwords for this account. Wait ${Math.ceil(waitS / 60)} min, sign in on a device where you have been in before, or ask a lead for a new password.`,
      [],
      waitS,
    );
  }

  /** @returns the cookie by which a device that is in now is known later */
  known(email: string, request: Request): [name: string, value: string, options: CookieOptions] {
    this.wrongAtMs.delete(this.keyOf(email, request));
    return [
      DEVICE_COOKIE,
      this.signatureOf(email),
      {
        httpOnly: true,
        sameSite: 'lax',
        secure: request.secure,
        maxAge: DEVICE_AGE_MS,
        path: '/api/session',
      },
    ];
  }

  private keep(key: string, atMs: number[]): void {
    // Anew, so that the account that was tried longest ago is the first to be forgotten.
    this.wrongAtMs.delete(key);
    if (atMs.length > 0) this.wrongAtMs.set(key, atMs);
    const [oldest] = this.wrongAtMs.keys();
    if (this.wrongAtMs.size > MOST_KEPT && oldest !== undefined) this.wrongAtMs.delete(oldest);
  }

  private recent(key: string): number[] {
    const since = Date.now() - WITHIN_MS;
    return (this.wrongAtMs.get(key) ?? []).filter((atMs) => atMs > since);
  }

  private keyOf(email: string, request: Request): string {
    const shown = cookieIn(request.get('cookie') ?? '', DEVICE_COOKIE);
    return this.isOf(email, shown) ? `known ${request.ip} ${asKey(email)}` : asKey(email);
  }

  private isOf(email: string, shown: string): boolean {
    const [given, own] = [Buffer.from(shown), Buffer.from(this.signatureOf(email))];
    return given.length === own.length && timingSafeEqual(given, own);
  }

  private signatureOf(email: string): string {
    return createHmac('sha256', this.configuration.sessionSecret)
      .update(`device ${asKey(email)}`)
      .digest('base64url');
  }
}

const asKey = (email: string) => email.trim().toLowerCase().slice(0, 200);

function cookieIn(header: string, name: string): string {
  const pair = header.split(/;\s*/).find((each) => each.startsWith(`${name}=`));
  return pair?.slice(name.length + 1) ?? '';
}
