import { Injectable } from '@nestjs/common';
import { markedDrainS, type ComparisonDesign } from '@vendu/core';
import type { ArmBrewView, BrewListItem, ComparisonArmView, ComparisonView } from '@vendu/contract';
import { BrewReader } from '../brews/brew-reader.js';
import { BrewerModel } from '../kit/brewer.model.js';
import { GrinderModel } from '../kit/grinder.model.js';
import { grinderView } from '../kit/kit-views.js';
import { KettleModel } from '../kit/kettle.model.js';
import { PaperModel } from '../kit/paper.model.js';
import { WaterModel } from '../kit/water.model.js';
import { LotModel } from '../lots/lot.model.js';
import { PersonModel } from '../people/person.model.js';
import { notFound } from '../problem/problem-error.js';
import { settingFor } from '../recipes/recipe-views.js';
import { RecipeVersionModel } from '../recipes/recipe-version.model.js';
import { RecipeModel } from '../recipes/recipe.model.js';
import { BlindAnswerModel } from './blind-answer.model.js';
import { BlindPlaceModel } from './blind-place.model.js';
import { BlindTestModel } from './blind-test.model.js';
import { blindTestView } from './blind-views.js';
import { ComparisonArmModel } from './comparison-arm.model.js';
import { ComparisonBrewModel } from './comparison-brew.model.js';
import { ComparisonModel } from './comparison.model.js';

const PARTS = [
  { model: PersonModel, as: 'maker' },
  {
    model: ComparisonArmModel,
    separate: true,
    order: [['place', 'ASC'] as [string, string]],
    include: [RecipeVersionModel, ComparisonBrewModel],
  },
];

/** A test with its places and what was said at them, in the order in which it came. */
const TEST_PARTS = [
  { model: PersonModel, as: 'maker' },
  { model: PersonModel, as: 'opener' },
  {
    model: BlindPlaceModel,
    separate: true,
    order: [['number', 'ASC'] as [string, string]],
    include: [BlindAnswerModel],
  },
];

/** Lays the arms of comparisons beside each other, with their brews and tests. */
@Injectable()
export class ComparisonReader {
  constructor(private readonly trail: BrewReader) {}

  async read(id: number): Promise<Omit<ComparisonView, 'phoneOrigin'>> {
    const row = await ComparisonModel.findByPk(id, { include: PARTS });
    if (!row) throw notFound('comparison');
    const tests = await BlindTestModel.findAll({
      where: { comparisonId: id },
      include: TEST_PARTS,
      order: ['id'],
    });
    return {
      id: row.id,
      revision: row.revision,
      question: row.question,
      asks: row.asks,
      matchedBy: row.matchedBy,
      rounds: row.rounds,
      made: { by: row.maker.name, at: row.createdAt.toISOString() },
      arms: (await this.armsOf([row])).get(id) ?? [],
      tests: tests.map(blindTestView),
    };
  }

  /** The questions of some comparisons with their arms as they were brewed. */
  async designs(ids: readonly number[]): Promise<Map<number, ComparisonDesign>> {
    const rows = await ComparisonModel.findAll({ where: { id: [...ids] }, include: PARTS });
    const arms = await this.armsOf(rows);
    return new Map(
      rows.map(({ id, asks, matchedBy, rounds }) => [
        id,
        { asks, matchedBy, rounds, arms: arms.get(id) ?? [] },
      ]),
    );
  }

  private async armsOf(comparisons: readonly ComparisonModel[]): Promise<Map<number, ComparisonArmView[]>> {
    const recipes = await RecipeModel.findAll({
      where: { id: comparisons.flatMap(({ arms }) => arms.map(({ version }) => version.recipeId)) },
      include: [LotModel, BrewerModel, PaperModel, WaterModel, KettleModel, GrinderModel],
    });
    const recipeOf = new Map(recipes.map((recipe) => [recipe.id, recipe]));
    const trails = await this.trail.ofLots([...new Set(recipes.map(({ lotId }) => lotId))]);
    const brewed = new Map([...trails.values()].flat().map((brew) => [brew.id, brew]));
    return new Map(
      comparisons.map(({ id, arms }) => [
        id,
        arms.flatMap((arm) => armView(arm, recipeOf.get(arm.version.recipeId), brewed)),
      ]),
    );
  }
}

function armView(
  arm: ComparisonArmModel,
  recipe: RecipeModel | undefined,
  brewed: ReadonlyMap<number, BrewListItem>,
): ComparisonArmView[] {
  if (!recipe) return [];
  const { version } = arm;
  return [
    {
      id: arm.id,
      lotId: recipe.lotId,
      lotName: recipe.lot.name,
      brewerName: recipe.brewer.name,
      paperName: recipe.paper.name,
      waterName: recipe.water?.name ?? '',
      kettleName: recipe.kettle?.name ?? '',
      grinderName: recipe.grinder.name,
      recipeId: recipe.id,
      recipeVersionId: arm.recipeVersionId,
      versionNumber: version.number,
      plan: version.plan,
      grinderSetting: settingFor(version.plan, grinderView(recipe.grinder)).grinderSetting,
      brews: arm.brews
        .map(({ brewId }) => brewed.get(brewId))
        .filter((brew): brew is BrewListItem => brew !== undefined && !brew.isSetAside)
        .map(armBrew),
    },
  ];
}

/** What a stand-in poured or read measures nothing. */
function armBrew(brew: BrewListItem): ArmBrewView {
  const { result } = brew;
  return {
    id: brew.id,
    number: brew.number,
    brewedBy: brew.brewedBy,
    startedAtMs: Date.parse(brew.startedAt),
    roastAgeDays: brew.roastAgeDays,
    doseG: brew.doseG,
    drainS: brew.isSimulated ? null : markedDrainS(brew),
    tdsPercent: brew.isSimulated ? null : (result?.strength.meanPercent ?? null),
    yieldPercent: !brew.isSimulated && result?.yield.basis === 'weighed' ? result.yield.yieldPercent : null,
  };
}
