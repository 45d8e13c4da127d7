import { subDays } from 'date-fns';
import { QueryTypes } from 'sequelize';
import type { Sequelize } from 'sequelize-typescript';
import { TraceModel } from '../brews/trace.model.js';

/** A curve takes tens of kilobytes: few at a time, so that no statement holds the table for long. */
const AT_ONCE = 200;

/**
 * Lets the curves of brews go that are older than a lab keeps them. What was read off them, figures and entries, stays.
 *
 * @param keptDays - `null` keeps all
 * @returns how many went
 */
export async function forgetOldTraces(sequelize: Sequelize, keptDays: number | null): Promise<number> {
  if (keptDays === null) return 0;
  const before = subDays(new Date(), keptDays);
  let gone = 0;
  for (;;) {
    const old = await sequelize.query<{ brewId: number }>(
      `SELECT traces.brew_id AS brewId FROM traces JOIN brews ON brews.id = traces.brew_id
       WHERE brews.started_at < :before ORDER BY brews.id LIMIT ${AT_ONCE}`,
      { type: QueryTypes.SELECT, replacements: { before } },
    );
    if (old.length === 0) return gone;
    await TraceModel.destroy({ where: { brewId: old.map(({ brewId }) => brewId) } });
    gone += old.length;
  }
}
