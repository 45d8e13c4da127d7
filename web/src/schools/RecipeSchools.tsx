import { Dialog } from 'radix-ui';
import type { RecipeView } from '@vendu/contract';
import { troubleOf } from '../api/problem';
import { useKitQuery } from '../lots/lotsApi';
import { useSetRecipeSchoolsMutation } from '../recipes/recipesApi';
import { Button } from '../ui/Button';
import { TroubleNotice } from '../ui/Notice';
import { StandChoices } from './StandChoices';
import { SCHOOL_POINTS, SCHOOL_WORDS, standName } from './schoolWords';

/** The stands that hold for one recipe: the house's, or its own where it leaves them. */
export function RecipeSchools({ recipe }: { recipe: RecipeView }) {
  const house = useKitQuery().data?.house.schools;
  const [setSchools, { error }] = useSetRecipeSchoolsMutation();
  if (!house) return null;
  const apart = SCHOOL_POINTS.filter((point) => house[point] !== recipe.schools[point]);
  return (
    <section>
      <h2 className="heading mb-2">House style</h2>
      <p className="text-small">
        {apart.length === 0
          ? 'The positions of the house. Aims and proposals follow them.'
          : `Other than the house: ${apart
              .map((point) => `${SCHOOL_WORDS[point].name.toLowerCase()} ${standName(point, recipe.schools)}`)
              .join(', ')}.`}
      </p>
      <div className="mt-2 flex gap-2">
        <Dialog.Root>
          <Dialog.Trigger asChild>
            <Button>Positions of this recipe</Button>
          </Dialog.Trigger>
          <Dialog.Portal>
            <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/40" />
            <Dialog.Content
              aria-describedby={undefined}
              className="fixed inset-x-8 inset-y-6 z-50 mx-auto max-w-5xl overflow-y-auto border border-ink bg-sheet p-6"
            >
              <div className="mb-3 flex items-center">
                <Dialog.Title className="grow text-title font-bold">Positions of this recipe</Dialog.Title>
                <Dialog.Close asChild>
                  <Button>Close</Button>
                </Dialog.Close>
              </div>
              <TroubleNotice trouble={troubleOf(error)} />
              <StandChoices
                schools={recipe.schools}
                house={house}
                onChoose={(schools) => setSchools({ id: recipe.id, schools })}
              />
            </Dialog.Content>
          </Dialog.Portal>
        </Dialog.Root>
        {recipe.hasOwnSchools && (
          <Button weight="quiet" onClick={() => void setSchools({ id: recipe.id, schools: null })}>
            Use the house’s positions
          </Button>
        )}
      </div>
    </section>
  );
}
