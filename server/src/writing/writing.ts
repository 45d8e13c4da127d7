import { Injectable } from '@nestjs/common';
import { subDays } from 'date-fns';
import { Op, QueryTypes, UniqueConstraintError } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import { notFound, ProblemError } from '../problem/problem-error.js';
import { RequestKeyModel } from './request-key.model.js';
import type { RequestKeyOf } from './request-key.js';
import { inTransaction } from './transactions.js';

/** Nobody sends a request again after so long. */
const KEPT_DAYS = 7;

/** How everything is stored that hangs together: whole, in turn, and once. */
@Injectable()
export class Writing {
  private readonly followers: ((lotId: number) => Promise<void>)[] = [];

  constructor(private readonly sequelize: Sequelize) {}

  /** Computes something of a lot afresh after each of its changes, in the same transaction. */
  follow(work: (lotId: number) => Promise<void>): void {
    this.followers.push(work);
  }

  /**
   * Stores something new in one transaction, once for each key.
   *
   * @param work - answers with what tells the new thing: its id, as plain data
   */
  once<T>(request: RequestKeyOf | null, work: () => Promise<T>): Promise<T> {
    return inTransaction(this.sequelize, async () => {
      if (request === null) return work();
      const before = await claim(request);
      if (before) return before.result as T;
      const result = await work();
      await RequestKeyModel.update({ result }, { where: { clientKey: request.key } });
      return result;
    });
  }

  /**
   * Changes something of a lot: its facts, batches, stock, recipes, versions, brews, publications. Writers of one lot
   * go one after the other, since each takes the lot first; what follows from its records is computed afresh in
   * the same transaction. What was looked at before the turn has to be looked at again in it.
   *
   * @throws ProblemError `not-found` where there is no such lot
   */
  onLot<T>(lotId: number, work: () => Promise<T>, request: RequestKeyOf | null = null): Promise<T> {
    return this.once(request, async () => {
      const [lot] = await this.sequelize.query('SELECT id FROM lots WHERE id = :lotId FOR UPDATE', {
        replacements: { lotId },
        type: QueryTypes.SELECT,
      });
      if (!lot) throw notFound('lot');
      const result = await work();
      await this.bringUpToDate(lotId);
      return result;
    });
  }

  /** Computes afresh what follows from the records of a lot, in the transaction of whoever changed them and holds the lot. */
  async bringUpToDate(lotId: number): Promise<void> {
    for (const follow of this.followers) await follow(lotId);
  }

  /** Forgets keys that nobody will send again. */
  async forgetOldKeys(): Promise<void> {
    await RequestKeyModel.destroy({ where: { createdAt: { [Op.lt]: subDays(new Date(), KEPT_DAYS) } } });
  }
}

/**
 * Takes a key. One that is being used at this moment is waited for.
 *
 * @returns what it stood for before; `null` where it is new
 */
async function claim({ key, personId, what }: RequestKeyOf): Promise<{ result: unknown } | null> {
  try {
    await RequestKeyModel.create({ clientKey: key, personId, what, result: null });
    return null;
  } catch (error) {
    if (!(error instanceof UniqueConstraintError)) throw error;
  }
  const before = await RequestKeyModel.findByPk(key, { rejectOnEmpty: true });
  if (before.personId !== personId || before.what !== what) {
    throw new ProblemError('conflict', 'The key of this request has been used for another one.');
  }
  return { result: before.result };
}
