import { armLetter, planVariants } from '@vendu/core';
import type { RecipeView } from '@vendu/contract';
import { troubleOf } from '../api/problem';
import { useAddVersionMutation } from '../api/recipesApi';
import { Button } from '../ui/Button';
import { TroubleNotice } from '../ui/Notice';

/** For a question that no version answers yet: A with one thing changed, saved as a version and compared. */
export function Variants({
  recipe,
  versionId,
  place,
  onMade,
}: {
  /** Of A. */
  recipe: RecipeView;
  versionId: number;
  /** The arm that it becomes. */
  place: number;
  onMade: (made: { recipeId: number; versionId: number }) => void;
}) {
  const [addVersion, { error, isLoading }] = useAddVersionMutation();
  const version = recipe.versions.find(({ id }) => id === versionId);
  const newest = recipe.versions[0]?.number;
  if (!version || newest === undefined) return null;
  return (
    <div role="group" aria-label={`${armLetter(place)} as A, but`} className="mb-5">
      <p className="mb-1 text-small text-quiet">No version yet that asks it? {armLetter(place)} as A, but</p>
      <div className="flex flex-wrap gap-2">
        {planVariants(version.plan).map(({ words, plan }) => (
          <Button
            key={words}
            disabled={isLoading}
            onClick={() =>
              void addVersion({
                id: recipe.id,
                version: {
                  basedOn: newest,
                  plan: { ...plan, pours: [...plan.pours] },
                  note: `Version ${version.number} ${words}, to compare`,
                  expectation: null,
                },
              }).then(({ data }) => {
                const made = data?.versions[0]?.id;
                if (made !== undefined) onMade({ recipeId: recipe.id, versionId: made });
              })
            }
          >
            {words}
          </Button>
        ))}
      </div>
      <TroubleNotice trouble={troubleOf(error)} />
    </div>
  );
}
