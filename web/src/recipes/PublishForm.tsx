import type { RecipeVersionView, RecipeView } from '@vendu/contract';
import { byField, troubleOf } from '../api/problem';
import { useDraft } from '../device/draft';
import { Button } from '../ui/Button';
import { Field, INPUT } from '../ui/Field';
import { TroubleNotice } from '../ui/Notice';
import { usePublishMutation } from '../api/recipesApi';

/** Note to the customer, and the button that makes a signed-off version public. */
export function PublishForm({
  recipe,
  version,
  isAgain = false,
}: {
  recipe: RecipeView;
  version: RecipeVersionView;
  /** The version is public, with a card that is to be made anew. */
  isAgain?: boolean;
}) {
  const lastWords = recipe.publications[0]?.introduction ?? '';
  const [introduction, setIntroduction, dropIntroduction] = useDraft(`publication.${version.id}`, lastWords);
  const [publish, { error, isLoading }] = usePublishMutation();
  const trouble = troubleOf(error);
  return (
    <div className="flex flex-col gap-2 border-l-2 border-ink pl-3">
      <Field label="Note to the customer" error={byField(trouble?.errors ?? [])['introduction']}>
        {(control) => (
          <textarea
            {...control}
            rows={3}
            className={`${INPUT} h-auto py-1.5`}
            value={introduction}
            onChange={(event) => setIntroduction(event.target.value)}
          />
        )}
      </Field>
      <Button
        weight="main"
        className="self-start"
        disabled={isLoading}
        onClick={() =>
          void publish({ recipeVersionId: version.id, introduction }).then(
            ({ data }) => data && dropIntroduction(),
          )
        }
      >
        {isAgain ? 'Publish the card again' : `Publish version ${version.number}`}
      </Button>
      {trouble && trouble.errors.length === 0 && <TroubleNotice trouble={trouble} />}
    </div>
  );
}
