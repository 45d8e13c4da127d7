import { skipToken } from '@reduxjs/toolkit/query';
import { CHECK_NAMES, type ChangeAdvice } from '@vendu/core';
import type { BrewListItem, RecipeVersionView, RecipeView } from '@vendu/contract';
import { useProofQuery } from '../api/proofApi';
import { ButtonLink } from '../ui/Button';
import { listed } from '../ui/listed';
import { cupsWords } from './chanceWords';

/** From here on a recipe is sure enough to be accepted rather than repeated (assumed). */
const SURE_ENOUGH = 0.8;

interface RepeatOrProveProps {
  recipe: RecipeView;
  version: RecipeVersionView;
  asItIs: ChangeAdvice['asItIs'];
  /** The last brew, where it was of this very version. */
  last: BrewListItem | null;
}

/** Where most cups of a recipe lie on aim nothing is changed: it is accepted, or repeated once to be surer. */
export function RepeatOrProve({ recipe, version, asItIs, last }: RepeatOrProveProps) {
  const { chance, chanceIfRepeated } = asItIs;
  const isSurer = chanceIfRepeated !== null && Math.round(chanceIfRepeated * 100) > Math.round(chance * 100);
  const isAccepted = version.accepted !== null || version.signedOff !== null;
  const wasBrewed = last !== null;
  // What the taster rejected is not accepted for its figures.
  const isRejected = last?.verdict === 'off-aim';
  const isProving = version.accepted !== null && version.signedOff === null;
  const { data: proof } = useProofQuery(isProving ? version.id : skipToken);
  const missing = proof?.checks
    .filter(({ state }) => state === 'missing')
    .map(({ check }) => CHECK_NAMES[check]);
  const accepts = wasBrewed && !isRejected && (isAccepted || chance >= SURE_ENOUGH);
  return (
    <div className="mb-3 grid grid-cols-[1fr_auto] items-start gap-x-5 gap-y-2 border-y border-ink py-3">
      <div>
        <h3 className="text-large font-bold">{headWords({ version, wasBrewed, accepts })}</h3>
        <p className="text-small">
          Brewed again, <span className="reading font-semibold">{cupsWords(chance)}</span> such cups lie in
          the window
          {isRejected
            ? ', but the last one was judged off aim: say above what was wrong, or brew it again.'
            : !isAccepted && isSurer
              ? `: accept it, or repeat it once for ${cupsWords(chanceIfRepeated)} if that comes out alike.`
              : '.'}
        </p>
        {missing && (
          <p className="text-small">
            {missing.length === 0
              ? 'Nothing is missing in its proof.'
              : `Missing in its proof: ${listed(missing)}.`}
          </p>
        )}
      </div>
      <div className="flex flex-col items-end gap-2">
        {isProving ? (
          <ButtonLink to={`/recipes/${recipe.id}/proof/${version.id}`} weight="main">
            Open its proof
          </ButtonLink>
        ) : (
          <ButtonLink to={`/recipes/${recipe.id}#versions`} weight={accepts ? 'main' : 'plain'}>
            Open the recipe
          </ButtonLink>
        )}
        <ButtonLink to={`/bench/${version.id}?recipe=${recipe.id}`} weight={accepts ? 'plain' : 'main'}>
          {wasBrewed ? 'Brew again' : 'Brew it'}
        </ButtonLink>
      </div>
    </div>
  );
}

function headWords({
  version: { accepted, signedOff },
  wasBrewed,
  accepts,
}: {
  version: RecipeVersionView;
  wasBrewed: boolean;
  accepts: boolean;
}): string {
  if (signedOff) return 'On aim and signed off: nothing to change';
  if (accepted) return 'Accepted: prove it, then sign it off';
  if (!wasBrewed) return 'Brew it as it is';
  return accepts ? 'Accept it' : 'Brew it again, unchanged';
}
