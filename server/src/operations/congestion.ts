import { Inject, Injectable, type OnModuleDestroy } from '@nestjs/common';
import type { RequestHandler } from 'express';
import { Sequelize } from 'sequelize-typescript';
import type { Configuration } from '../configuration.js';
import { CONFIGURATION } from '../configuration.token.js';
import { ProblemError } from '../problem/problem-error.js';

const LOOKS_EVERY_MS = 200;
/** What each part of the application may then still have under way; what goes through lets the others in as well. */
const LEFT_EACH = 3;

/**
 * Keeps one part of the application from taking every connection of the database. Where statements have waited for one for
 * a while, a part that has some requests under way already is refused others at once, with when to come again; so a table
 * that somebody locked holds up what needs it and not the bench, and a database that is frozen is told within moments.
 */
@Injectable()
export class Congestion implements OnModuleDestroy {
  private readonly underWay = new Map<string, number>();
  private starvedSinceMs: number | null = null;
  private readonly timer = setInterval(() => this.look(), LOOKS_EVERY_MS).unref();

  private readonly starvedMs: number;

  constructor(
    private readonly sequelize: Sequelize,
    @Inject(CONFIGURATION) { patience }: Pick<Configuration, 'patience'>,
  ) {
    this.starvedMs = patience.starvedS * 1000;
  }

  onModuleDestroy(): void {
    clearInterval(this.timer);
  }

  readonly shedding: RequestHandler = (request, response, next) => {
    // Under `/api`: lots, brews, kit.
    const part = request.path.split('/')[1] ?? '';
    const count = this.underWay.get(part) ?? 0;
    if (this.isStarved() && count >= LEFT_EACH) {
      next(
        new ProblemError('unavailable', 'The database has too much to do just now. Try again in a moment.'),
      );
      return;
    }
    this.underWay.set(part, count + 1);
    response.once('close', () => {
      const left = (this.underWay.get(part) ?? 1) - 1;
      if (left > 0) this.underWay.set(part, left);
      else this.underWay.delete(part);
    });
    next();
  };

  private look(): void {
    if (waitingFor(this.sequelize) === 0) this.starvedSinceMs = null;
    else this.starvedSinceMs ??= performance.now();
  }

  private isStarved(): boolean {
    return this.starvedSinceMs !== null && performance.now() - this.starvedSinceMs > this.starvedMs;
  }
}

/** How many statements wait for a connection. The pool says so, and its types do not. */
function waitingFor({ connectionManager }: Sequelize): number {
  const { pool } = connectionManager as unknown as { pool: { waiting: number } };
  return pool.waiting;
}
