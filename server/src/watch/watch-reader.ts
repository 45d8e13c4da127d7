import { Injectable } from '@nestjs/common';
import {
  ageing,
  batchShift,
  houseBatches,
  likelyCause,
  markedDrainS,
  notCounted,
  recheckDue,
  USUAL_WATCH_LIMITS,
  watchChart,
  WATCHED_FIGURES,
  type LikelyCause,
  type LotShift,
  type WatchChart,
  type WatchedBrew,
} from '@vendu/core';
import type { BrewListItem, WatchAlarm, WatchPhaseView, WatchView } from '@vendu/contract';
import { BrewModel } from '../brews/brew.model.js';
import { BrewReader } from '../brews/brew-reader.js';
import { BrewerModel } from '../kit/brewer.model.js';
import { GrinderModel } from '../kit/grinder.model.js';
import { PaperModel } from '../kit/paper.model.js';
import { WaterModel } from '../kit/water.model.js';
import { LotModel } from '../lots/lot.model.js';
import { RoastBatchModel } from '../lots/roast-batch.model.js';
import { PublicationModel } from '../publications/publication.model.js';
import { RecipeVersionModel } from '../recipes/recipe-version.model.js';
import { RecipeModel } from '../recipes/recipe.model.js';

const PARTS = [LotModel, BrewerModel, PaperModel, GrinderModel, WaterModel];

/** A recipe that is public, with all that its watch is read from. */
interface Watched {
  recipe: RecipeModel;
  live: PublicationModel;
  publications: PublicationModel[];
  versions: RecipeVersionModel[];
  batches: RoastBatchModel[];
  brews: BrewListItem[];
  kitOf: ReadonlyMap<number, BrewModel>;
}

/** What other lots say of what this one may share with them. */
export interface Elsewhere {
  others: readonly LotShift[];
  /** For each recipe, what its new batches did. */
  batchShiftsPercent: readonly (readonly number[])[];
}
export const NOTHING_ELSEWHERE: Elsewhere = { others: [], batchShiftsPercent: [] };

/** Lays the brews of public versions beside what was proven of them. */
@Injectable()
export class WatchReader {
  constructor(private readonly trail: BrewReader) {}

  /** @returns `null` where no version of it is public */
  async ofRecipe(recipeId: number, elsewhere: Elsewhere): Promise<WatchView | null> {
    const recipe = await RecipeModel.findByPk(recipeId, { include: PARTS });
    if (!recipe) return null;
    const publications = await PublicationModel.findAll({ where: { recipeId }, order: ['id'] });
    const live = publications.find(({ withdrawnAt }) => withdrawnAt === null);
    if (!live) return null;
    const [versions, batches, trail] = await Promise.all([
      RecipeVersionModel.findAll({ where: { recipeId } }),
      RoastBatchModel.findAll({ where: { lotId: recipe.lotId }, order: ['roastedOn', 'id'] }),
      this.trail.ofLot(recipe.lotId),
    ]);
    const brews = trail.filter((brew) => brew.recipeId === recipeId);
    const rows = await BrewModel.findAll({
      where: { id: brews.map(({ id }) => id) },
      attributes: ['id', 'kit', 'roastBatchId'],
    });
    const kitOf = new Map(rows.map((row) => [row.id, row]));
    return watchOf({ recipe, live, publications, versions, batches, brews, kitOf }, elsewhere);
  }
}

function watchOf(watched: Watched, { others, batchShiftsPercent }: Elsewhere): WatchView {
  const { recipe, live, publications, versions, batches } = watched;
  const limits = recipe.watchLimits ?? USUAL_WATCH_LIMITS;
  // A card that was published again is the same version under the same watch.
  const firstOf = new Map<number, PublicationModel>();
  for (const publication of publications) {
    if (!firstOf.has(publication.recipeVersionId)) firstOf.set(publication.recipeVersionId, publication);
  }
  const phases = [...firstOf.values()].map((first): WatchPhaseView => {
    const version = versions.find(({ id }) => id === first.recipeVersionId);
    const counted = version ? countedBrews(watched, version) : [];
    const publishedAt = first.createdAt.toISOString();
    const proof = counted.filter(({ startedAt }) => startedAt <= publishedAt);
    const rechecks = counted.filter(({ startedAt }) => startedAt > publishedAt);
    const charts = WATCHED_FIGURES.flatMap((figure): WatchChart[] => {
      const chart = watchChart({ figure, proof, rechecks, limits });
      return chart ? [chart] : [];
    });
    return { versionNumber: version?.number ?? 0, publishedAt, proof, rechecks, charts };
  });
  const version = versions.find(({ id }) => id === live.recipeVersionId);
  const now = phases.find(({ versionNumber }) => versionNumber === version?.number);
  const alarms = now ? alarmsOf(now) : [];
  const cause = now ? causeOf(now, alarms, others) : null;
  return {
    lotId: recipe.lotId,
    lotName: recipe.lot.name,
    recipeId: recipe.id,
    brewerName: recipe.brewer.name,
    recipeVersionId: live.recipeVersionId,
    versionNumber: version?.number ?? 0,
    slug: recipe.slug ?? '',
    limits,
    hasOwnLimits: recipe.watchLimits !== null,
    due: recheckDue({
      brews: now ? [...now.proof, ...now.rechecks] : [],
      limits,
      now: {
        today: new Date().toISOString().slice(0, 10),
        publishedOn: live.createdAt.toISOString().slice(0, 10),
        batches: batches.filter(({ isSample }) => !isSample).map(({ id, roastedOn }) => ({ id, roastedOn })),
        grinder: `${recipe.grinder.name}, ${recipe.grinder.burrSet}`,
        brewer: recipe.brewer.name,
        paper: recipe.paper.name,
        water: recipe.water?.name ?? null,
      },
    }),
    ageing: now ? ageingOf(now, cause) : null,
    ageNote: recipe.ageNote,
    batchShift: now ? batchShift({ proof: now.proof, brews: now.rechecks }) : null,
    houseBatches: houseBatches(batchShiftsPercent),
    alarms,
    cause,
    phases,
  };
}

/** A brew that is off for another reason than its age tells nothing of that. */
function ageingOf({ proof, rechecks, charts }: WatchPhaseView, cause: LikelyCause | null) {
  const chart = charts.find(({ figure }) => figure === 'strength');
  if (!chart) return null;
  const isOtherwiseOff = cause !== null && cause.kind !== 'age' && cause.kind !== 'unknown';
  return ageing({ proof, rechecks: isOtherwiseOff ? rechecks.slice(0, -1) : rechecks, chart });
}

/** Brews of a version as planned, measured, real and not excluded, in the order brewed. */
function countedBrews(
  { brews, batches, kitOf, recipe }: Watched,
  version: RecipeVersionModel,
): WatchedBrew[] {
  return brews.flatMap((brew): WatchedBrew[] => {
    const { result } = brew;
    const row = kitOf.get(brew.id);
    const figures = {
      tdsPercent: result?.strength.meanPercent ?? null,
      yieldPercent: result?.yield.basis === 'weighed' ? result.yield.yieldPercent : null,
    };
    if (!row || brew.versionNumber !== version.number) return [];
    if (notCounted({ ...brew, ...figures }, version.plan) !== null) return [];
    return [
      {
        ...figures,
        id: brew.id,
        number: brew.number,
        startedAt: brew.startedAt,
        by: brew.brewedBy,
        roastBatchId: row.roastBatchId,
        roastedOn: batches.find(({ id }) => id === row.roastBatchId)?.roastedOn ?? '',
        roastAgeDays: brew.roastAgeDays,
        grinder: row.kit?.grinder ?? `${recipe.grinder.name}, ${recipe.grinder.burrSet}`,
        brewer: row.kit?.brewer ?? recipe.brewer.name,
        paper: row.kit?.paper ?? recipe.paper.name,
        water: row.kit?.water ?? null,
        drainS: markedDrainS(brew),
        liked: brew.liked,
      },
    ];
  });
}

/** What is off in the last recheck: what was off before it and came back is history. */
function alarmsOf({ rechecks, charts }: WatchPhaseView): WatchAlarm[] {
  const last = rechecks.at(-1);
  if (!last) return [];
  return charts.flatMap(({ figure, centre, points }): WatchAlarm[] => {
    const point = points.find(({ brewId }) => brewId === last.id);
    return point && point.signals.length > 0
      ? [{ figure, brewId: last.id, number: last.number, value: point.value, centre, signals: point.signals }]
      : [];
  });
}

/** Strength tells it where it is off; else whatever is. */
function causeOf(
  { proof, rechecks, charts }: WatchPhaseView,
  alarms: readonly WatchAlarm[],
  others: readonly LotShift[],
) {
  const brew = rechecks.at(-1);
  const [first] = alarms;
  const chart = charts.find(({ figure }) => figure === 'strength') ?? charts[0];
  if (!brew || !first || !chart) return null;
  return likelyCause({ chart, brew, proof, others });
}
