import { Injectable } from '@nestjs/common';
import { subDays } from 'date-fns';
import { Op, UniqueConstraintError } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import { refreshLotProgress } from '../lots/lot-progress.js';
import { LotModel } from '../lots/lot.model.js';
import { notFound, ProblemError } from '../problem/problem-error.js';
import { RequestKeyModel } from './request-key.model.js';
import type { RequestKeyOf } from './request-key.js';
import { inTransaction } from './transactions.js';

/** Nobody sends a request again after so long. */
const KEPT_DAYS = 7;

/** How everything is stored that hangs together: whole, in turn, and once. */
@Injectable()
export class Writing {
  constructor(private readonly sequelize: Sequelize) {}

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
   * go one after the other, since each takes the lot first; what the list of lots shows of it is computed afresh in
   * the same transaction. What was looked at before the turn has to be looked at again in it.
   *
   * @throws ProblemError `not-found` where there is no such lot
   */
  onLot<T>(lotId: number, work: () => Promise<T>, request: RequestKeyOf | null = null): Promise<T> {
    return this.once(request, async () => {
      const lot = await LotModel.findByPk(lotId, { attributes: ['id'], lock: true });
      if (!lot) throw notFound('lot');
      const result = await work();
      await refreshLotProgress(this.sequelize, [lotId]);
      return result;
    });
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
