import { createHmac, timingSafeEqual } from 'node:crypto';
import { Inject, Injectable } from '@nestjs/common';
import type { CookieOptions, Request } from 'express';
import type { Configuration } from '../configuration.js';
import { CONFIGURATION } from '../configuration.token.js';
import { Attempts, type Limit } from '../limits/attempts.js';
import { ProblemError } from '../problem/problem-error.js';
import { cookieName } from './cookie-name.js';

/** So many wrong passwords are mistakes; more, in so short a time, are guesses. */
const WRONG: Limit = { most: 10, withinMs: 15 * 60_000 };

/** A device that has signed in to accounts shows this beside its session, and keeps it when it signs out. */
const DEVICE_COOKIE = 'vendu.device';
const DEVICE_AGE_MS = 365 * 24 * 3_600_000;
/** A tablet at the bench is everybody's; who has not been in on it for the longest time is forgotten first. */
const ACCOUNTS_KNOWN = 12;
const BETWEEN = '.';
/** What signs an account, in base64url. */
const SIGNATURE = /^[\w-]{43}$/;

/**
 * Holds up whoever guesses at one account, from however many addresses. Devices that have been in before are counted by
 * themselves, so that nobody locks a person out of his own by guessing.
 *
 * Source: device cookies, as OWASP describes them (from memory).
 */
@Injectable()
export class Guesses {
  constructor(
    private readonly attempts: Attempts,
    @Inject(CONFIGURATION) private readonly configuration: Configuration,
  ) {}

  /**
   * Counts an attempt as wrong until it turns out right: many at one moment must not all be looked at.
   *
   * @returns takes it back, where it was neither
   * @throws ProblemError `too-many-requests` where no more passwords are looked at for now
   */
  async begin(email: string, request: Request): Promise<() => Promise<void>> {
    const subject = this.subjectOf(email, request);
    const counted = await this.attempts.count(subject, WRONG);
    if (counted.isAllowed) return () => this.attempts.takeBack(subject, counted.untilMs, WRONG);
    const waitS = Math.ceil(counted.waitMs / 1000);
    throw new ProblemError(
      'too-many-requests',
      `Too many wrong passwords for this account. Wait ${Math.ceil(waitS / 60)} min, sign in on a device where you have been in before, or ask a lead for a new password.`,
      [],
      waitS,
    );
  }

  /** What was wrong before does not count against somebody who is in. */
  forget(email: string, request: Request): Promise<void> {
    return this.attempts.forget(this.subjectOf(email, request));
  }

  /** Whether somebody was in on this device before. */
  isKnown(email: string, request: Request): boolean {
    const own = Buffer.from(this.signatureOf(email));
    return shownBy(request).some((shown) => timingSafeEqual(Buffer.from(shown), own));
  }

  /** @returns the cookie by which a device that is in now is known later, for whoever else was in on it too */
  known(email: string, request: Request): [name: string, value: string, options: CookieOptions] {
    const own = this.signatureOf(email);
    const others = shownBy(request).filter((shown) => shown !== own);
    return [
      cookieName(DEVICE_COOKIE, request),
      [own, ...others].slice(0, ACCOUNTS_KNOWN).join(BETWEEN),
      {
        httpOnly: true,
        sameSite: 'lax',
        secure: request.secure,
        maxAge: DEVICE_AGE_MS,
        path: '/api/session',
      },
    ];
  }

  private subjectOf(email: string, request: Request): string {
    return `guess ${this.isKnown(email, request) ? `known ${request.ip} ` : ''}${asKey(email)}`;
  }

  private signatureOf(email: string): string {
    return createHmac('sha256', this.configuration.sessionSecret)
      .update(`device ${asKey(email)}`)
      .digest('base64url');
  }
}

const asKey = (email: string) => email.trim().toLowerCase().slice(0, 200);

/** Of which accounts a device says that it knows them; what it makes up is none of them. */
function shownBy(request: Request): string[] {
  const name = cookieName(DEVICE_COOKIE, request);
  const pair = (request.get('cookie') ?? '').split(/;\s*/).find((each) => each.startsWith(`${name}=`));
  const shown = pair?.slice(name.length + 1).split(BETWEEN) ?? [];
  return shown.filter((each) => SIGNATURE.test(each)).slice(0, ACCOUNTS_KNOWN);
}
