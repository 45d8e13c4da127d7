import { createHmac } from 'node:crypto';
import { Inject, Injectable } from '@nestjs/common';
import { Op } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import type { Configuration } from '../configuration.js';
import { CONFIGURATION } from '../configuration.token.js';
import { inTransaction } from '../writing/transactions.js';
import { AttemptsModel } from './attempts.model.js';

/** So many that count no longer go with each that does: the table holds what is tried now, whoever tries how much. */
const SWEPT_AT_ONCE = 50;

/** So many of one thing within a time, and no more. */
export interface Limit {
  most: number;
  withinMs: number;
}

export type Attempt =
  | { isAllowed: true; /** Of those that count now, this one too. */ count: number; untilMs: number }
  | { isAllowed: false; count: number; waitMs: number };

/** Counts what must not be tried too often, in the database: a lab's servers count together, and one started anew goes on. */
@Injectable()
export class Attempts {
  constructor(
    private readonly sequelize: Sequelize,
    @Inject(CONFIGURATION) private readonly configuration: Pick<Configuration, 'sessionSecret'>,
  ) {}

  /** Counts one more, unless that is too many; of many at one moment each is counted. */
  async count(subject: string, { most, withinMs }: Limit): Promise<Attempt> {
    const counted = await this.inTurn(subject, withinMs, async (row) => {
      const now = Date.now();
      const live = row.untilMs.filter((untilMs) => untilMs > now);
      const [first] = live;
      if (first !== undefined && live.length >= most) {
        return { isAllowed: false, count: live.length + 1, waitMs: first - now } as const;
      }
      const untilMs = now + withinMs;
      await row.update({ untilMs: [...live, untilMs], countsUntil: new Date(untilMs) });
      return { isAllowed: true, count: live.length + 1, untilMs } as const;
    });
    await this.sweep();
    return counted;
  }

  /** Takes one back that turned out to be none. */
  async takeBack(subject: string, untilMs: number, { withinMs }: Limit): Promise<void> {
    await this.inTurn(subject, withinMs, async (row) => {
      const at = row.untilMs.indexOf(untilMs);
      if (at >= 0) await row.update({ untilMs: row.untilMs.toSpliced(at, 1) });
    });
  }

  async forget(subject: string): Promise<void> {
    await AttemptsModel.destroy({ where: { subject: this.asKept(subject) } });
  }

  /** The row is made where there is none, and held while it is worked on. */
  private inTurn<T>(subject: string, withinMs: number, work: (row: AttemptsModel) => Promise<T>): Promise<T> {
    const kept = this.asKept(subject);
    return inTransaction(this.sequelize, async () => {
      await AttemptsModel.bulkCreate(
        [{ subject: kept, untilMs: [], countsUntil: new Date(Date.now() + withinMs) }],
        { updateOnDuplicate: ['subject'] },
      );
      return work(await AttemptsModel.findByPk(kept, { lock: true, rejectOnEmpty: true }));
    });
  }

  private async sweep(): Promise<void> {
    await inTransaction(this.sequelize, () =>
      AttemptsModel.destroy({ where: { countsUntil: { [Op.lt]: new Date() } }, limit: SWEPT_AT_ONCE }),
    );
  }

  private asKept(subject: string): string {
    return createHmac('sha256', this.configuration.sessionSecret)
      .update(`attempts ${subject}`)
      .digest('base64url');
  }
}
