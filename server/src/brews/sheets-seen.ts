import { Op } from 'sequelize';
import { CUP_IS_GONE_H, openSheets, type OpenSheets } from '@vendu/core';
import type { TastingView } from '@vendu/contract';
import { PersonModel } from '../people/person.model.js';
import { BrewModel } from './brew.model.js';
import { TastingLookModel } from './tasting-look.model.js';
import { tastingView } from './tasting-views.js';
import { TastingModel } from './tasting.model.js';

/** The sheets of a brew that somebody may see, by the server's clock. */
export async function sheetsSeenBy(
  viewerId: number,
  brew: { id: number; startedAt: Date },
  sheets: readonly TastingView[],
): Promise<OpenSheets<TastingView>> {
  return openSheets({
    sheets,
    viewerId,
    hasLooked: await hasLooked(viewerId, brew.id),
    brewedAtMs: brew.startedAt.getTime(),
    nowMs: Date.now(),
  });
}

/** Those of some brews whose sheets somebody may not all see yet. */
export async function sealedTo(viewerId: number, brewIds: readonly number[]): Promise<Set<number>> {
  const brews = await BrewModel.findAll({
    where: { id: [...brewIds], startedAt: { [Op.gt]: new Date(Date.now() - CUP_IS_GONE_H * 3_600_000) } },
    include: [{ model: TastingModel, include: [PersonModel] }],
  });
  const sealed = new Set<number>();
  for (const brew of brews) {
    const seen = await sheetsSeenBy(viewerId, brew, brew.tastings.map(tastingView));
    if (Object.keys(seen.sealed).length > 0) sealed.add(brew.id);
  }
  return sealed;
}

async function hasLooked(personId: number, brewId: number): Promise<boolean> {
  return (await TastingLookModel.count({ where: { personId, brewId } })) > 0;
}
