import { isOnAim, type Targets } from '@vendu/core';
import type { RecipeVersionView, RecipeView } from '@vendu/contract';
import { ButtonLink } from '../ui/Button';
import { chanceWords } from './chanceWords';
import { lastBrewOf } from './lastBrew';

/** So many brews on aim before a recipe is proved by somebody else's hands (common practice). */
const REPEATS = 2;

interface RepeatOrProveProps {
  recipe: RecipeView;
  version: RecipeVersionView;
  targets: Targets;
  chance: number;
}

/** On aim nothing is changed: the recipe is brewed again, then proved. */
export function RepeatOrProve({ recipe, version, targets, chance }: RepeatOrProveProps) {
  const onAim = recipe.brews.filter(
    (brew) =>
      !brew.isSimulated &&
      brew.versionNumber === version.number &&
      brew.verdict !== 'off-aim' &&
      isOnAim(targets, lastBrewOf(brew)),
  ).length;
  const isRepeated = onAim >= REPEATS;
  const bench = `/bench/${version.id}?recipe=${recipe.id}`;
  return (
    <div className="mb-3 grid grid-cols-[1fr_auto] items-start gap-x-5 gap-y-2 border-y border-ink py-3">
      <div>
        <h3 className="text-large font-bold">
          {!isRepeated ? 'Brew it again, unchanged' : proveWords(version)}
        </h3>
        <p className="text-small">
          <span className="reading font-semibold">{onAim}</span> brew{onAim === 1 ? '' : 's'} of version{' '}
          {version.number} on aim so far; the next one is on aim with a chance of{' '}
          <span className="reading font-semibold">{chanceWords(chance)}</span>.
        </p>
      </div>
      {isRepeated ? (
        <ButtonLink to={`/recipes/${recipe.id}#versions`} weight="main">
          Open the recipe
        </ButtonLink>
      ) : (
        <ButtonLink to={bench} weight="main">
          Brew again
        </ButtonLink>
      )}
    </div>
  );
}

function proveWords({ accepted, signedOff }: RecipeVersionView): string {
  if (signedOff) return 'On aim and signed off: nothing to change';
  if (accepted) return 'Prove it: have somebody else brew it, then sign it off';
  return 'Accept it, then have somebody else brew it';
}
