import { ageNoteWords } from '@vendu/core';
import type { CardChange, GrinderView, HouseView, PublishedCard } from '@vendu/contract';
import type { RecipeVersionModel } from '../recipes/recipe-version.model.js';
import type { RecipeModel } from '../recipes/recipe.model.js';
import { signedBy } from '../recipes/signed-by.js';
import { settingFor } from '../recipes/recipe-views.js';

/** The card of a version as lot, kit and house are now. Needs the recipe's `lot`, `brewer` and `paper`
 * loaded, and `SIGNATURE_PARTS` of the version. */
export function composeCard({
  recipe,
  version,
  house,
  grinder,
  introduction,
}: {
  recipe: RecipeModel;
  version: Pick<RecipeVersionModel, 'plan' | 'number' | 'signatures'>;
  house: Pick<HouseView, 'name' | 'place'>;
  grinder: GrinderView;
  introduction: string;
}): PublishedCard {
  const { lot, brewer, paper } = recipe;
  const { grinderSetting, secondSetting } = settingFor(version.plan, grinder);
  return {
    lotName: lot.name,
    country: lot.country,
    process: lot.process,
    baseProcess: lot.baseProcess,
    // Left out where it is not, as on cards older than this.
    ...(lot.isDecaffeinated ? { isDecaffeinated: true } : {}),
    brewerName: brewer.name,
    plan: version.plan,
    houseName: house.name,
    housePlace: house.place,
    region: lot.region,
    farm: lot.farm,
    producer: lot.producer,
    variety: lot.variety,
    additions: lot.additions,
    labelNotes: lot.labelNotes,
    elevationFromM: lot.elevationFromM,
    elevationToM: lot.elevationToM,
    elevationWord: lot.elevationWord,
    paper: paper.name,
    grinderName: `${grinder.name}, ${grinder.burrSet}`,
    grinderSetting,
    ...(secondSetting === null ? {} : { secondSetting }),
    // Left out where nothing is said, as on cards older than this.
    ...(recipe.ageNote ? { ageNote: ageNoteWords(recipe.ageNote) } : {}),
    introduction,
    versionNumber: version.number,
    signedBy: signedBy(version),
  };
}

/** What lot, kit and house say; the rest of a card is said by whoever publishes it. */
const FOLLOWS_RECORDS: readonly CardChange['field'][] = [
  'additions',
  'lotName',
  'country',
  'process',
  'baseProcess',
  'isDecaffeinated',
  'brewerName',
  'houseName',
  'housePlace',
  'region',
  'farm',
  'producer',
  'variety',
  'labelNotes',
  'elevationFromM',
  'elevationToM',
  'elevationWord',
  'paper',
  'grinderName',
  'grinderSetting',
  'secondSetting',
  'ageNote',
  'signedBy',
];

/** In what a published card differs from what it would be now; what concerns allergies first. */
export function cardChanges(published: PublishedCard, now: PublishedCard): CardChange[] {
  return FOLLOWS_RECORDS.filter(
    (field) =>
      (published[field] ?? null) !== (now[field] ?? null) &&
      // Older cards named nobody: that alone makes none of them wrong.
      (field !== 'signedBy' || published.signedBy !== undefined),
  ).map((field) => ({
    field,
    published: String(published[field] ?? ''),
    now: String(now[field] ?? ''),
  }));
}
