import { subMinutes } from 'date-fns';
import { Op } from 'sequelize';
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

/** Brews that ran through within the life of a cup, and what nobody did to them yet. */
export async function aftersNow(): Promise<TodayAfter[]> {
  const rows = await BrewModel.findAll({
    where: {
      startedAt: { [Op.gt]: subMinutes(new Date(), CUP_STANDS_MIN) },
      setAsideAt: null,
      isSimulated: false,
    },
    include: [
      { model: ReadingModel, where: { removedAt: null }, required: false },
      { model: TastingModel, attributes: ['stage'] },
    ],
    order: ['startedAt'],
  });
  const lots = await LotModel.findAll({ where: { id: rows.map(({ lotId }) => lotId) } });
  return Promise.all(
    rows.map(async ({ id, lotId, plan, steps, startedAt, readings, tastings }) => {
      const lot = lots.find((each) => each.id === lotId);
      const drainS = steps.at(-1)?.atS ?? plan.drawdownS;
      const number = await BrewModel.count({ where: { lotId, startedAt: { [Op.lte]: startedAt } } });
      const left = DAY_FOLLOWS.filter((follow) =>
        follow === 'read' ? readings.length === 0 : !tastings.some(({ stage }) => stage === STAGE_OF[follow]),
      );
      return {
        brewId: id,
        number,
        lotName: lot?.name ?? '',
        drainedAt: new Date(startedAt.getTime() + 1000 * drainS).toISOString(),
        left,
        sipMg: effortOf(plan, lot ? isOfProcess(lot, 'decaffeinated') : false).sipMg,
      };
    }),
  );
}
