import { Op } from 'sequelize';
import { SecondFactorModel } from './second-factor.model.js';

/** People who are asked for a code besides their password. */
export async function whoHasCode(): Promise<Set<number>> {
  const rows = await SecondFactorModel.findAll({
    where: { since: { [Op.not]: null } },
    attributes: ['personId'],
  });
  return new Set(rows.map(({ personId }) => personId));
}
