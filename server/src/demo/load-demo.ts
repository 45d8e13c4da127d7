import { Op } from 'sequelize';
import type { Sequelize } from 'sequelize-typescript';
import {
  calibrateLot,
  fittedStart,
  labelNotesText,
  planWaterG,
  roastAgeDays,
  seededRandom,
  USUAL_SCHOOLS,
  type BrewKit,
  type BrewPlan,
  type Proof,
} from '@vendu/core';
import { NewLotDto, type BrewerView } from '@vendu/contract';
import type { LayeredLot } from '@vendu/measures/secondTruth';
import { BrewReader } from '../brews/brew-reader.js';
import { BrewModel } from '../brews/brew.model.js';
import { FractionModel } from '../brews/fraction.model.js';
import { ReadingModel } from '../brews/reading.model.js';
import { kitNames, WITH_KIT } from '../brews/kit-names.js';
import { TraceModel } from '../brews/trace.model.js';
import { TastingModel } from '../brews/tasting.model.js';
import { BrewerModel } from '../kit/brewer.model.js';
import { HouseModel } from '../kit/house.model.js';
import { brewerView } from '../kit/kit-views.js';
import { PaperModel } from '../kit/paper.model.js';
import { refreshLotProgress } from '../lots/lot-progress.js';
import { LotModel } from '../lots/lot.model.js';
import { RoastBatchModel } from '../lots/roast-batch.model.js';
import { PersonModel } from '../people/person.model.js';
import { refreshProof } from '../proof/refresh-proof.js';
import { ProofReader } from '../proof/proof-reader.js';
import { ProofWaiverModel } from '../proof/proof-waiver.model.js';
import { PublicationModel } from '../publications/publication.model.js';
import { refreshWatch } from '../watch/refresh-watch.js';
import { WatchReader } from '../watch/watch-reader.js';
import { slugOf } from '../publications/slug.js';
import { RecipeVersionModel } from '../recipes/recipe-version.model.js';
import { RecipeModel } from '../recipes/recipe.model.js';
import { evidenceOf, keepEvidence } from '../recipes/lot-evidence.js';
import { inTransaction } from '../writing/transactions.js';
import { startingFacts } from '../recipes/starting-facts.js';
import { addMinutes } from 'date-fns';
import { at, dateDaysAgo, momentDaysAgo } from './demo-dates.js';
import { inventBrew } from './invent-brew.js';
import { inventCups } from './invent-cups.js';
import { inventRecord } from './invent-record.js';
import { inventSheets } from './invent-sheets.js';
import { loadCards } from './load-cards.js';
import { loadComparisons } from './load-comparisons.js';
import { loadExpectations } from './load-expectations.js';
import { loadHomeResults } from './load-home-results.js';
import { loadKit, type DemoKit } from './load-kit.js';
import { brewsAtHour, loadPeople } from './load-people.js';
import { DEMO_LOTS, type DemoBrew, type DemoLot } from './scenario.js';
import { WATCHED_LOTS } from './watched-lots.js';
import { YEAR_LOTS } from './year-lots.js';
import { HOUSE } from './scenario-kit.js';

/** Same seed, same demo. */
const SEED = 9_0417;

interface Ground extends DemoKit {
  sequelize: Sequelize;
  people: PersonModel[];
  random: () => number;
}

/**
 * Loads the invented scenario into an empty database, all of it or nothing. Dates count back from today.
 *
 * @returns whether anything was loaded; a database with people in it is left alone
 */
export async function loadDemo(sequelize: Sequelize): Promise<boolean> {
  if ((await PersonModel.count()) > 0) return false;
  await inTransaction(sequelize, async () => {
    await HouseModel.update(HOUSE, { where: { id: 1 } });
    const people = await loadPeople();
    const kit = await loadKit(people);
    const ground: Ground = {
      sequelize,
      people,
      ...kit,
      random: seededRandom(SEED),
    };
    for (const lot of [...DEMO_LOTS, ...WATCHED_LOTS, ...YEAR_LOTS]) await loadLot(sequelize, lot, ground);
    await loadComparisons(people);
    await refreshLotProgress(sequelize);
  });
  await keepEvidenceOfFinished(sequelize);
  await loadCards(sequelize);
  const reader = new ProofReader(new BrewReader(sequelize));
  const watch = new WatchReader(new BrewReader(sequelize));
  for (const { id } of await LotModel.findAll({ attributes: ['id'] })) {
    await refreshProof(sequelize, reader, id);
    await refreshWatch(sequelize, watch, id);
  }
  return true;
}

/** Between the green's arrival and its first roast. */
const GREEN_DAYS = 4;

async function loadLot(sequelize: Sequelize, lot: DemoLot, ground: Ground): Promise<void> {
  const creator = at(ground.people, 1);
  const row = await LotModel.create({
    ...new NewLotDto(),
    ...lot.facts,
    labelNotes: labelNotesText(lot.facts.labelNotes ?? []),
    launchOn: lot.launchInDays === null ? null : dateDaysAgo(-lot.launchInDays),
    stockAt: momentDaysAgo(lot.roastedDaysAgo, 7),
    createdBy: creator.id,
    // Its green was there before it was roasted.
    createdAt: momentDaysAgo(lot.roastedDaysAgo + GREEN_DAYS, 9),
  });
  const roastedOn = dateDaysAgo(lot.roastedDaysAgo);
  const batch = await RoastBatchModel.create({ lotId: row.id, roastedOn, level: lot.roastLevel });
  const later = await RoastBatchModel.bulkCreate(
    (lot.laterBatches ?? []).map((daysAgo) => ({
      lotId: row.id,
      roastedOn: dateDaysAgo(daysAgo),
      level: lot.roastLevel,
    })),
  );
  if (lot.recipe === null) return;
  const roasts = { row, batch, later };
  await loadRecipe(sequelize, { ...lot, recipe: lot.recipe }, roasts, ground);
  if (lot.edition) {
    const { rechecks: _, homeResults: __, supersedes: ___, introduction: ____, ...facts } = lot;
    await loadRecipe(sequelize, { ...facts, ...lot.edition }, roasts, ground, EDITION_FROM);
  }
}

/** Brews of an edition have keys of their own. */
const EDITION_FROM = 100;

/** A lot that has a recipe: of it, or of its edition on another brewer. */
type RecipeOfLot = DemoLot & { recipe: NonNullable<DemoLot['recipe']> };

async function loadRecipe(
  sequelize: Sequelize,
  lot: RecipeOfLot,
  { row, batch, later }: { row: LotModel; batch: RoastBatchModel; later: RoastBatchModel[] },
  ground: Ground,
  firstIndex = 0,
): Promise<void> {
  const creator = at(ground.people, 1);
  const brewer = at(ground.brewers, lot.recipe.brewer);
  const grinder = at(ground.grinders, lot.recipe.grinder);
  const recipe = await RecipeModel.create({
    lotId: row.id,
    brewerId: brewer.id,
    grinderId: grinder.id,
    paperId: brewer.paperId,
    waterId: ground.waterId,
    kettleId: ground.kettleId,
    createdBy: creator.id,
  });
  const firstDaysAgo = lot.brews[0]?.daysAgo ?? 0;
  const kit = kitOf(brewer);
  const sizes = grinder.points.map(({ grindUm }) => grindUm);
  const { plan, reasons } = fittedStart({
    facts: startingFacts({
      lot: row,
      batch,
      onDate: dateDaysAgo(firstDaysAgo),
      brewer,
      paper: { resistancePerM: brewer.paperResistancePerM },
      schools: USUAL_SCHOOLS,
      labElevationM: HOUSE.elevationM,
    }),
    switchedOff: [],
    kit,
    houseWindow: HOUSE,
    aim: null,
    reach: { finestUm: Math.min(...sizes), coarsestUm: Math.max(...sizes) },
    earlierLots: [],
  });
  let version = await RecipeVersionModel.create({
    recipeId: recipe.id,
    number: 1,
    plan,
    reasons,
    note: 'Starting recipe',
    createdBy: creator.id,
    createdAt: momentDaysAgo(firstDaysAgo, 8),
  });
  const equipped = await RecipeModel.findByPk(recipe.id, {
    include: WITH_KIT,
    rejectOnEmpty: true,
  });
  const common = { recipe: equipped, truth: lot.truth, kit, lotId: row.id, ground };
  // Of the newest batch that was there.
  const batchOf = ({ daysAgo }: DemoBrew) =>
    later.findLast((each) => each.roastedOn <= dateDaysAgo(daysAgo)) ?? batch;
  for (const [index, brew] of lot.brews.entries()) {
    version = await versionFor(brew, version, ground);
    const brewed = await brewedVersion(brew, version);
    await loadBrew({ ...common, brew, index: firstIndex + index, version: brewed, batch: batchOf(brew) });
    if (lot.supersedes?.afterBrew === index) {
      const { daysAgo } = lot.supersedes;
      const before = { ...lot, reached: 'published' as const, publishedDaysAgo: daysAgo };
      await reach(before, recipe, version, `${lot.facts.name} ${brewer.name}`, ground);
    }
  }
  await loadExpectations(sequelize, { lotId: row.id, recipeId: recipe.id, lot, kit });
  await reach(lot, recipe, version, `${lot.facts.name} ${brewer.name}`, ground);
  for (const [index, brew] of (lot.rechecks ?? []).entries()) {
    await loadBrew({ ...common, brew, index: lot.brews.length + index, version, batch: batchOf(brew) });
  }
}

async function versionFor(
  brew: DemoBrew,
  before: RecipeVersionModel,
  ground: Ground,
): Promise<RecipeVersionModel> {
  if (brew.change === null) return before;
  return RecipeVersionModel.create({
    recipeId: before.recipeId,
    number: before.number + 1,
    basedOn: before.number,
    plan: brew.change.apply(before.plan),
    note: brew.change.note,
    createdBy: at(ground.people, brew.by).id,
    createdAt: momentDaysAgo(brew.daysAgo, 8),
  });
}

/** An earlier version may be brewed again beside the newest. */
async function brewedVersion(
  { ofVersion }: DemoBrew,
  newest: RecipeVersionModel,
): Promise<RecipeVersionModel> {
  if (ofVersion === undefined) return newest;
  const { recipeId } = newest;
  return RecipeVersionModel.findOne({ where: { recipeId, number: ofVersion }, rejectOnEmpty: true });
}

async function loadBrew({
  brew,
  index,
  recipe,
  version,
  batch,
  truth,
  kit,
  lotId,
  ground,
}: {
  brew: DemoBrew;
  index: number;
  /** With its kit. */
  recipe: RecipeModel;
  version: RecipeVersionModel;
  batch: RoastBatchModel;
  truth: LayeredLot;
  kit: BrewKit;
  lotId: number;
  ground: Ground;
}): Promise<void> {
  const { random } = ground;
  const plan: BrewPlan = version.plan;
  const invented = inventBrew({
    plan,
    brew,
    truth,
    kit,
    roastAgeDays: roastAgeDays({ roastedOn: batch.roastedOn, onDate: dateDaysAgo(brew.daysAgo) }),
    random,
  });
  const personId = at(ground.people, brew.by).id;
  const { trace, events } = inventRecord({
    plan,
    steps: invented.steps,
    roomC: kit.ambientC,
    seed: lotId * 100 + index,
  });
  const row = await BrewModel.create({
    clientKey: keyOf(lotId, index),
    lotId,
    recipeVersionId: version.id,
    roastBatchId: batch.id,
    brewedBy: personId,
    startedAt: momentDaysAgo(brew.daysAgo, brew.hour ?? brewsAtHour(brew.by)),
    plan,
    steps: invented.steps,
    fromCard: brew.fromCard ?? false,
    events,
    kit: kitNames({ recipe }, version, HOUSE, 'Bench scale'),
    doseG: plan.doseG,
    waterG: invented.waterG === planWaterG(plan) ? null : invented.waterG,
    beverageG: invented.beverageG,
    note: brew.note ?? '',
    verdict: brew.verdict?.verdict ?? null,
    verdictReason: brew.verdict?.reason ?? '',
  });
  await TraceModel.create({ brewId: row.id, samples: trace });
  if (brew.cups) {
    const cups = inventCups(brew.cups, invented.cup, random);
    await FractionModel.bulkCreate(cups.map((cup) => ({ ...cup, brewId: row.id })));
  }
  await ReadingModel.bulkCreate(
    (brew.cups ? [] : invented.readingsPercent).map((tdsPercent) => ({
      brewId: row.id,
      tdsPercent,
      readBy: personId,
    })),
  );
  await TastingModel.bulkCreate(
    inventSheets(brew, seededRandom(SEED + lotId * 100 + index)).map(({ by, afterMin, ...sheet }) => ({
      ...sheet,
      brewId: row.id,
      tastedBy: at(ground.people, by).id,
      createdAt: addMinutes(row.startedAt, afterMin),
    })),
  );
}

async function reach(
  lot: DemoLot,
  recipe: RecipeModel,
  version: RecipeVersionModel,
  words: string,
  ground: Ground,
): Promise<void> {
  const [lead, barista] = [at(ground.people, 0), at(ground.people, 1)];
  const publishedDaysAgo = lot.publishedDaysAgo ?? 2;
  if (lot.reached === 'open') return;
  await version.update({ acceptedBy: barista.id, acceptedAt: momentDaysAgo(publishedDaysAgo + 1, 16) });
  if (lot.reached === 'accepted') return;
  await loadWaivers(lot, version, lead, publishedDaysAgo + 1);
  await version.update({
    signedOffBy: lead.id,
    signedOffAt: momentDaysAgo(publishedDaysAgo + 1, 17),
    proof: await shownBy(version, lead, ground),
  });
  if (lot.reached === 'signed-off') return;
  await recipe.update({ slug: slugOf(words) });
  const createdAt = momentDaysAgo(publishedDaysAgo, 11);
  await PublicationModel.update(
    { withdrawnAt: createdAt },
    { where: { recipeId: recipe.id, withdrawnAt: null } },
  );
  const publication = await PublicationModel.create({
    recipeId: recipe.id,
    recipeVersionId: version.id,
    introduction: lot.introduction ?? '',
    // Written once all that it tells of is there.
    card: null,
    publishedBy: lead.id,
    createdAt,
  });
  await loadHomeResults(lot, publication, publishedDaysAgo);
}

async function loadWaivers(
  lot: DemoLot,
  version: RecipeVersionModel,
  lead: PersonModel,
  daysAgo: number,
): Promise<void> {
  await ProofWaiverModel.bulkCreate(
    (lot.waivers ?? []).map(({ check, reason }) => ({
      recipeVersionId: version.id,
      checkId: check,
      reason,
      waivedBy: lead.id,
      createdAt: momentDaysAgo(daysAgo, 16),
    })),
  );
}

/** What the lead has before her when she signs. */
async function shownBy(
  version: RecipeVersionModel,
  lead: PersonModel,
  { sequelize }: Ground,
): Promise<Proof | null> {
  const read = await new ProofReader(new BrewReader(sequelize)).read(version.id, lead.id, () =>
    Promise.resolve(null),
  );
  return read?.proof ?? null;
}

/** On this thread: nobody else is waiting while the demo is loaded. */
const calibrate = (input: Parameters<typeof calibrateLot>[0]) => Promise.resolve(calibrateLot(input));

/** Finished lots teach the next ones, as acceptance does outside the demo. */
async function keepEvidenceOfFinished(sequelize: Sequelize): Promise<void> {
  const reader = new BrewReader(sequelize);
  const recipes = await RecipeModel.findAll({
    include: [
      { model: BrewerModel, include: [PaperModel] },
      { model: RecipeVersionModel, where: { acceptedAt: { [Op.ne]: null } } },
    ],
  });
  for (const { lotId, brewer } of recipes) {
    const evidence = await evidenceOf(await reader.ofLot(lotId), kitOf(brewerView(brewer)), calibrate);
    await keepEvidence(lotId, evidence);
  }
}

function kitOf(brewer: BrewerView): BrewKit {
  return {
    brewer: brewer.geometry,
    paperPerM: brewer.paperResistancePerM,
    ambientC: HOUSE.roomC,
    elevationM: HOUSE.elevationM,
  };
}

/** A fixed key per demo brew, in the form of a UUID of version 4. */
function keyOf(lotId: number, index: number): string {
  return `00000000-0000-4000-8000-${String(lotId).padStart(6, '0')}${String(index).padStart(6, '0')}`;
}
