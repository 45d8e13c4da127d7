import { Op } from 'sequelize';
import { labelNotesIn } from '@vendu/core';
import type { KinLotView, RecipeListItem } from '@vendu/contract';
import { LotModel } from './lot.model.js';

/** More would be a list to search, not what comes to mind. */
const MOST_SHOWN = 8;

/** Lots of the same country whose producer, or else whose farm, is the same as far as it was told. Newest first. */
export async function findKin({ id, country, producer, farm }: LotModel): Promise<LotModel[]> {
  const shared = [...(producer === '' ? [] : [{ producer }]), ...(farm === '' ? [] : [{ farm }])];
  if (shared.length === 0) return [];
  return LotModel.findAll({
    where: { id: { [Op.ne]: id }, country, [Op.or]: shared },
    order: [['id', 'DESC']],
    limit: MOST_SHOWN,
  });
}

export function kinView(lot: LotModel, kin: LotModel, recipes: readonly RecipeListItem[]): KinLotView {
  const { id, name, process, baseProcess, elevationFromM, elevationToM, elevationWord } = kin;
  const { variety, harvest, drying, additions, isDecaffeinated } = kin;
  // As the database compares them.
  const isProducer =
    lot.producer !== '' && lot.producer.localeCompare(kin.producer, 'en', { sensitivity: 'base' }) === 0;
  return {
    id,
    name,
    process,
    baseProcess,
    additions,
    isDecaffeinated,
    elevationFromM,
    elevationToM,
    elevationWord,
    variety,
    harvest,
    drying,
    sharedBy: isProducer ? 'producer' : 'farm',
    labelNotes: labelNotesIn(kin.labelNotes),
    stage: kin.stage,
    recipes: recipes.filter(({ lotId }) => lotId === id),
  };
}
