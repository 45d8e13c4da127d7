import { movesFrom } from '@vendu/core';
import type { ProofView, RecipeVersionView, RecipeView } from '@vendu/contract';
import { byField, troubleOf } from '../api/problem';
import { useSetSignedOffMutation } from '../api/recipesApi';
import { useDraft } from '../device/draft';
import { useSessionQuery } from '../session/sessionApi';
import { Button, ButtonLink } from '../ui/Button';
import { Field, INPUT } from '../ui/Field';
import { TroubleNotice } from '../ui/Notice';
import { versionStateOf } from '../ui/versionStateOf';

interface SignOffProps {
  recipe: RecipeView;
  version: RecipeVersionView;
  proof: ProofView;
  isLead: boolean;
}

/** A lead's name under what was proved; whoever made all its brews says why he signs it himself. */
export function SignOff({ recipe, version, proof, isLead }: SignOffProps) {
  const person = useSessionQuery().data?.person;
  const [reason, setReason, forget] = useDraft(`sign-off.${version.id}`, '');
  const [setSignedOff, { error, isLoading }] = useSetSignedOffMutation();
  const trouble = troubleOf(error);
  const state = versionStateOf(version, recipe);
  const says = waitsFor(version, proof, isLead);
  if (version.signedOff) {
    return (
      <ButtonLink to={`/recipes/${recipe.id}#versions`} weight="main" className="self-start">
        {state === 'published' ? 'Open the recipe' : 'Publish it'}
      </ButtonLink>
    );
  }
  if (says !== null || !movesFrom({ state, isLead }).includes('sign-off')) {
    return <p className="text-small text-quiet">{says}</p>;
  }
  const isOwnAlone = proof.isOneHand && proof.hands[0] === person?.name;
  return (
    <form
      noValidate
      className="flex flex-col items-start gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        void setSignedOff({ versionId: version.id, signOff: { reason } }).then(
          ({ data }) => data && forget(),
        );
      }}
    >
      {isOwnAlone && (
        <Field
          label="All its brews are yours: why you sign it yourself"
          className="w-full max-w-xl"
          error={byField(trouble?.errors ?? [])['reason']}
        >
          {(control) => (
            <input
              {...control}
              className={INPUT}
              value={reason}
              onChange={(event) => setReason(event.target.value)}
            />
          )}
        </Field>
      )}
      <Button type="submit" weight="main" disabled={isLoading}>
        Sign off version {version.number}
      </Button>
      {trouble && trouble.errors.length === 0 && <TroubleNotice trouble={trouble} />}
    </form>
  );
}

function waitsFor({ accepted }: RecipeVersionView, { isProven }: ProofView, isLead: boolean): string | null {
  if (!accepted) return 'Accept this version on its recipe first; then it can be signed off.';
  if (!isProven) return 'It can be signed off once nothing is missing.';
  return isLead ? null : 'Waits for a lead to sign it off.';
}
