import type { Sequelize } from 'sequelize-typescript';
import {
  calibrateLot,
  conditionsOfPlan,
  expectedOfPlans,
  forecastBrew,
  recordedBrew,
  valueOf,
  type BrewKit,
  type BrewPlan,
} from '@vendu/core';
import { readBrewsOf } from '@vendu/contract';
import { BrewReader } from '../brews/brew-reader.js';
import { refreshChanges } from '../changes/refresh-changes.js';
import { keepExpectation } from '../recipes/keep-expectation.js';
import { RecipeVersionModel } from '../recipes/recipe-version.model.js';
import type { DemoLot } from './scenario.js';

/** Writes down what each change of a lot was to do, as it stood when only the brews before it were known. */
export async function loadExpectations(
  sequelize: Sequelize,
  { lotId, recipeId, lot, kit }: { lotId: number; recipeId: number; lot: DemoLot; kit: BrewKit },
): Promise<void> {
  const trail = await new BrewReader(sequelize).ofLot(lotId);
  const versions = await RecipeVersionModel.findAll({ where: { recipeId }, order: ['number'] });
  const changes = lot.brews.flatMap(({ change }) => change ?? []);
  for (const [index, { source, hopes }] of changes.entries()) {
    const [before, after] = [versions[index], versions[index + 1]];
    if (!before || !after) throw new Error(`${lot.facts.name} has no version for its change ${index + 1}`);
    const first = trail.findIndex(({ versionNumber }) => versionNumber === after.number);
    const known = readBrewsOf(trail.slice(0, first));
    const calibration = valueOf(calibrateLot({ brews: known.map((brew) => recordedBrew(brew, kit)) }));
    const forecast = (plan: BrewPlan) =>
      valueOf(
        forecastBrew({
          calibration,
          brew: conditionsOfPlan({ plan, kit, roastAgeDays: trail[first]?.roastAgeDays ?? 0 }),
        }),
      );
    const figures = expectedOfPlans(forecast(before.plan), forecast(after.plan));
    await keepExpectation(lotId, after.id, { source, figures, hopes });
  }
  await refreshChanges(lotId);
}
