import { changeSeen, measuredOf, type BrewSeen, type ChangeSeen } from '@vendu/core';
import { resultOf } from '../brews/brew-views.js';
import { BrewModel } from '../brews/brew.model.js';
import { ReadingModel } from '../brews/reading.model.js';
import { tastingView } from '../brews/tasting-views.js';
import { TastingModel } from '../brews/tasting.model.js';
import { PersonModel } from '../people/person.model.js';
import { ChangeModel } from '../recipes/change.model.js';
import { RecipeVersionModel } from '../recipes/recipe-version.model.js';

/**
 * Lays every change of a lot beside what came of it. Always computed afresh from the records: a reading added, a cup
 * tasted later or a brew excluded is in it.
 */
export async function refreshChanges(lotId: number): Promise<void> {
  const changes = await ChangeModel.findAll({ where: { lotId } });
  if (changes.length === 0) return;
  const brews = await realBrews(lotId);
  for (const change of changes) {
    const after = brews.find(({ recipeVersionId }) => recipeVersionId === change.recipeVersionId);
    const before =
      after &&
      brews
        .slice(0, brews.indexOf(after))
        .findLast(({ version }) => version.recipeId === after.version.recipeId);
    const seen =
      after && before
        ? changeSeen({ expectation: change.expectation, before: brewSeen(before), after: brewSeen(after) })
        : null;
    await change.update({
      seen,
      beforeBrewId: seen && before ? before.id : null,
      afterBrewId: seen && after ? after.id : null,
      ...countsOf(seen),
    });
  }
}

/** In the order brewed; what a stand-in poured or read says nothing of the lot. */
async function realBrews(lotId: number): Promise<BrewModel[]> {
  const brews = await BrewModel.findAll({
    where: { lotId, setAsideAt: null, isSimulated: false },
    include: [
      { model: ReadingModel, where: { removedAt: null }, required: false },
      { model: TastingModel, include: [{ model: PersonModel, as: 'taster', attributes: ['id', 'name'] }] },
      { model: RecipeVersionModel, as: 'version', attributes: ['id', 'recipeId'] },
    ],
    order: ['startedAt', 'id'],
  });
  return brews.filter(({ readings }) => readings.every(({ source }) => source !== 'simulated'));
}

function brewSeen(brew: BrewModel): BrewSeen {
  const { plan, steps, verdict, verdictReason, tastings } = brew;
  const result = resultOf(brew);
  return {
    plan,
    steps,
    events: brew.events ?? [],
    verdict,
    verdictReason,
    tastings: tastings.map(tastingView),
    measured: measuredOf({ plan, steps, result }),
    comparablePercent: result?.strength.comparablePercent ?? null,
  };
}

function countsOf(seen: ChangeSeen | null) {
  const figures = Object.values(seen?.figures ?? {});
  const hopes = (seen?.hopes ?? []).filter((each) => each !== 'not-told');
  return {
    figuresTold: figures.length,
    figuresCame: figures.filter(({ asExpected }) => asExpected).length,
    hopesTold: hopes.length,
    hopesCame: hopes.filter((each) => each === 'came').length,
  };
}
