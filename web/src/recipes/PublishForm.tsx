import { cardWords, formatDuration } from '@vendu/core';
import { EDITION_WORDS, EditionDto, type RecipeVersionView, type RecipeView } from '@vendu/contract';
import { byField, troubleOf } from '../api/problem';
import { usePublishMutation } from '../api/recipesApi';
import { useDraft } from '../device/draft';
import { Button } from '../ui/Button';
import { Field, INPUT } from '../ui/Field';
import { TroubleNotice } from '../ui/Notice';

/** The words of an edition, and the button that makes a signed-off version public; its figures are the version's. */
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
  const last = recipe.publications[0];
  const [introduction, setIntroduction, dropIntroduction] = useDraft(
    `publication.${version.id}`,
    last?.introduction ?? '',
  );
  const [edition, setEdition, dropEdition] = useDraft<EditionDto>(
    `edition.${version.id}`,
    editionToStart(recipe, version),
  );
  const [publish, { error, isLoading }] = usePublishMutation();
  const trouble = troubleOf(error);
  const errors = byField(trouble?.errors ?? []);
  const changed = (words: Partial<EditionDto>) => setEdition({ ...edition, ...words });
  const textOf = (which: 'name' | 'tastesOf') => ({
    className: INPUT,
    maxLength: EDITION_WORDS[which].max,
    value: edition[which],
    onChange: (event: { target: { value: string } }) => changed({ [which]: event.target.value }),
  });
  return (
    <form
      noValidate
      className="flex flex-col gap-2 border-l-2 border-ink pl-3"
      onSubmit={(event) => {
        event.preventDefault();
        void publish({ recipeVersionId: version.id, introduction, edition }).then(({ data }) => {
          if (!data) return;
          dropIntroduction();
          dropEdition();
        });
      }}
    >
      <Field label="Note to the customer" error={errors['introduction']}>
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
      <Field
        label={`${EDITION_WORDS.tastesOf.label}, if not as on the label`}
        error={errors['edition.tastesOf']}
      >
        {(control) => <input {...control} {...textOf('tastesOf')} />}
      </Field>
      <Field label={`${EDITION_WORDS.name.label}, beside its brewer`} error={errors['edition.name']}>
        {(control) => <input {...control} {...textOf('name')} />}
      </Field>
      <details open={edition.remarks.some(Boolean)}>
        <summary className="cursor-pointer text-small text-quiet hover:text-ink">
          Remarks beside the steps
        </summary>
        <ol className="mt-2 flex flex-col gap-2">
          {cardWords(version.plan).steps.map(({ atS, words }, index) => (
            <li key={index}>
              <Field label={`${formatDuration(atS)} ${words}`} error={errors[`edition.remarks.${index}`]}>
                {(control) => (
                  <input
                    {...control}
                    className={INPUT}
                    maxLength={EDITION_WORDS.remark.max}
                    value={edition.remarks[index] ?? ''}
                    onChange={(event) =>
                      changed({ remarks: edition.remarks.with(index, event.target.value) })
                    }
                  />
                )}
              </Field>
            </li>
          ))}
        </ol>
        {errors['edition.remarks'] && (
          <p className="text-small font-medium text-alarm">{errors['edition.remarks']}</p>
        )}
      </details>
      <Button type="submit" weight="main" className="self-start" disabled={isLoading}>
        {isAgain ? 'Publish the card again' : `Publish version ${version.number}`}
      </Button>
      {trouble && trouble.errors.length === 0 && <TroubleNotice trouble={trouble} />}
    </form>
  );
}

/** The words of the card before; remarks only where the steps are still as many. */
function editionToStart({ publications: [last] }: RecipeView, { plan }: RecipeVersionView): EditionDto {
  const { name = '', tastesOf = '', remarks = [] } = last?.edition ?? {};
  const steps = cardWords(plan).steps.length;
  return {
    name,
    tastesOf,
    remarks: remarks.length === steps ? remarks : Array.from({ length: steps }, () => ''),
  };
}
