import { addHours } from 'date-fns';
import {
  normalDraw,
  seededRandom,
  serveBlind,
  type BlindAnswer,
  type BlindMethod,
  type BlindSet,
} from '@vendu/core';
import { BrewModel } from '../brews/brew.model.js';
import { BlindAnswerModel } from '../comparisons/blind-answer.model.js';
import { BlindPlaceModel } from '../comparisons/blind-place.model.js';
import { BlindTestModel } from '../comparisons/blind-test.model.js';
import { shortResult } from '../comparisons/blind-views.js';
import { ComparisonArmModel } from '../comparisons/comparison-arm.model.js';
import { ComparisonBrewModel } from '../comparisons/comparison-brew.model.js';
import { ComparisonModel } from '../comparisons/comparison.model.js';
import { BrewerModel } from '../kit/brewer.model.js';
import { LotModel } from '../lots/lot.model.js';
import type { PersonModel } from '../people/person.model.js';
import { RecipeVersionModel } from '../recipes/recipe-version.model.js';
import { RecipeModel } from '../recipes/recipe.model.js';
import { at, momentDaysAgo } from './demo-dates.js';
import { DEMO_COMPARISONS, type DemoComparison, type DemoPalate } from './scenario-comparisons.js';

const SEED = 6_2203;
/** One taster likes a cup this much more or less than another does, points of nine. */
const TASTERS_APART = 1.6;

/** What was compared, with the cups that people tasted without knowing. */
export async function loadComparisons(people: readonly PersonModel[]): Promise<void> {
  const random = seededRandom(SEED);
  for (const told of DEMO_COMPARISONS) {
    const lot = await LotModel.findOne({ where: { name: told.lot }, rejectOnEmpty: true });
    const { question, matchedBy, rounds } = told;
    const comparison = await ComparisonModel.create({
      question,
      matchedBy,
      rounds,
      asks: [...told.asks],
      madeBy: at(people, told.by).id,
      createdAt: momentDaysAgo(told.daysAgo, 8),
    });
    for (const [place, arm] of told.arms.entries()) await loadArm(comparison.id, lot.id, place, arm);
    await loadTest(comparison.id, told, people, random);
  }
}

async function loadArm(
  comparisonId: number,
  lotId: number,
  place: number,
  { brewer, version, brews }: DemoComparison['arms'][number],
): Promise<void> {
  const recipe = await RecipeModel.findOne({
    where: { lotId },
    include: [{ model: BrewerModel, where: { name: brewer } }],
    rejectOnEmpty: true,
  });
  const row = await RecipeVersionModel.findOne({
    where: { recipeId: recipe.id, number: version },
    rejectOnEmpty: true,
  });
  const arm = await ComparisonArmModel.create({ comparisonId, place, recipeVersionId: row.id });
  const ofLot = await BrewModel.findAll({ where: { lotId }, order: ['startedAt', 'id'], attributes: ['id'] });
  await ComparisonBrewModel.bulkCreate(
    brews.map((number) => ({ comparisonArmId: arm.id, brewId: at(ofLot, number - 1).id })),
  );
}

async function loadTest(
  comparisonId: number,
  { daysAgo, by, arms, test }: DemoComparison,
  people: readonly PersonModel[],
  random: () => number,
): Promise<void> {
  const { method, asksFor, tasters, palates, isOpened } = test;
  const begun = momentDaysAgo(daysAgo, 17);
  const [lead, maker] = [at(people, 0), at(people, by)];
  const row = await BlindTestModel.create({
    comparisonId,
    method,
    asksFor,
    arms: arms.map((_, place) => place),
    stages: palates.map(({ stage }) => stage),
    alpha: 0.05,
    madeBy: maker.id,
    createdAt: begun,
    endsAt: addHours(begun, 3),
    endedAt: begun,
    pouredBy: [maker.name],
    looks: [],
  });
  for (const [index, cups] of serveBlind({ method, arms: arms.length, tasters, random }).entries()) {
    const place = await BlindPlaceModel.create({
      blindTestId: row.id,
      number: index + 1,
      cups,
      secret: null,
    });
    await BlindAnswerModel.bulkCreate(
      palates.map((palate) => ({
        blindPlaceId: place.id,
        stage: palate.stage,
        answer: inventAnswer(method, cups, palate, random),
        note: '',
        createdAt: begun,
      })),
    );
  }
  if (!isOpened) return;
  const places = await BlindPlaceModel.findAll({
    where: { blindTestId: row.id },
    include: [BlindAnswerModel],
  });
  await row.update({
    openedAt: addHours(begun, 1),
    openedBy: lead.id,
    ...shortResult(Object.assign(row, { places })),
  });
}

/** What one taster says; pure chance where nothing is noticed. */
function inventAnswer(
  method: BlindMethod,
  cups: BlindSet,
  { noticing = 0, liked = [] }: DemoPalate,
  random: () => number,
): BlindAnswer {
  if (method === 'triangle' || method === 'duo-trio') {
    const coded = cups.filter(({ isReference }) => !isReference);
    const odd = coded.find(({ arm }) => coded.filter((cup) => cup.arm === arm).length === 1);
    const guess = at(coded, Math.floor(random() * coded.length));
    return { chosen: (random() < noticing && odd ? odd : guess).code };
  }
  const byLiking = cups
    .map(({ code, arm }) => ({
      code,
      score: normalDraw(random, { mean: liked[arm] ?? 5, sd: TASTERS_APART }),
    }))
    .sort((a, b) => b.score - a.score);
  if (method === 'ranking') return { ranked: byLiking.map(({ code }) => code) };
  if (method === 'paired') return { chosen: at(byLiking, 0).code };
  return {
    scores: Object.fromEntries(
      byLiking.map(({ code, score }) => [code, Math.min(9, Math.max(1, Math.round(score)))]),
    ),
  };
}
