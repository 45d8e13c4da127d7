import { subMinutes } from 'date-fns';
import { Op, QueryTypes } from 'sequelize';
import type { Sequelize } from 'sequelize-typescript';
import { DAY_FOLLOWS, isOfProcess, type DayFollow, type TastingStage } from '@vendu/core';
import type { TodayAfter } from '@vendu/contract';
import { BrewModel } from '../brews/brew.model.js';
import { ReadingModel } from '../brews/reading.model.js';
import { TastingModel } from '../brews/tasting.model.js';
import { LotModel } from '../lots/lot.model.js';
import { effortOf } from './brew-effort.js';

/** A cup is tasted to its end within so long, min. */
const CUP_STANDS_MIN = 100;
const STAGE_OF: Record<Exclude<DayFollow, 'read'>, TastingStage> = {
  'taste-hot': 'hot',
  'taste-warm': 'warm',
  'taste-cool': 'cool',
};

/** More cups than any table holds. */
const MOST_CUPS = 60;

/** Brews that ran through within the life of a cup, and what nobody did to them yet. */
export async function aftersNow(sequelize: Sequelize): Promise<TodayAfter[]> {
  const newest = await BrewModel.findAll({
    attributes: ['id', 'lotId', 'plan', 'steps', 'startedAt'],
    where: {
      startedAt: { [Op.gt]: subMinutes(new Date(), CUP_STANDS_MIN) },
      setAsideAt: null,
      isSimulated: false,
    },
    include: [
      { model: ReadingModel, attributes: ['id'], where: { removedAt: null }, required: false },
      { model: TastingModel, attributes: ['stage'] },
    ],
    order: [['startedAt', 'DESC']],
    limit: MOST_CUPS,
  });
  const [lots, numbers] = await Promise.all([
    LotModel.findAll({
      attributes: ['id', 'name', 'process', 'isDecaffeinated'],
      where: { id: newest.map(({ lotId }) => lotId) },
    }),
    numbersOf(
      sequelize,
      newest.map(({ id }) => id),
    ),
  ]);
  const lotOf = new Map(lots.map((lot) => [lot.id, lot]));
  return newest.reverse().map(({ id, lotId, plan, steps, startedAt, readings, tastings }) => {
    const lot = lotOf.get(lotId);
    const drainS = steps.at(-1)?.atS ?? plan.drawdownS;
    const left = DAY_FOLLOWS.filter((follow) =>
      follow === 'read' ? readings.length === 0 : !tastings.some(({ stage }) => stage === STAGE_OF[follow]),
    );
    return {
      brewId: id,
      number: numbers.get(id) ?? 1,
      lotName: lot?.name ?? '',
      drainedAt: new Date(startedAt.getTime() + 1000 * drainS).toISOString(),
      left,
      sipMg: effortOf(plan, lot ? isOfProcess(lot, 'decaffeinated') : false).sipMg,
    };
  });
}

/** Which of its lot each brew is, by when they began. */
async function numbersOf(sequelize: Sequelize, brewIds: readonly number[]): Promise<Map<number, number>> {
  if (brewIds.length === 0) return new Map();
  const rows = await sequelize.query<{ id: number; number: number }>(
    `SELECT brews.id, (SELECT COUNT(*) FROM brews AS others
      WHERE others.lot_id = brews.lot_id AND others.started_at <= brews.started_at) AS number
    FROM brews WHERE brews.id IN (:brewIds)`,
    { type: QueryTypes.SELECT, replacements: { brewIds: [...brewIds] } },
  );
  return new Map(rows.map(({ id, number }) => [id, number]));
}
