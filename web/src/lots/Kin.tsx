import { Link, useNavigate } from 'react-router';
import {
  elevationOf,
  formatRatio,
  grindWords,
  labelNotesText,
  lotDifferences,
  planRatio,
  type LotOrigin,
} from '@vendu/core';
import type { KinLotView, LotView, RecipeListItem } from '@vendu/contract';
import { troubleOf } from '../api/problem';
import { carriedOver } from '../recipes/carriedOver';
import { useLazyRecipeQuery, useStartRecipeMutation } from '../api/recipesApi';
import { Button } from '../ui/Button';
import { TroubleNotice } from '../ui/Notice';
import { elevationWords, processWords } from '@vendu/core';
import { useKinQuery } from '../api/lotsApi';

/** What others made of lots like it meanwhile is read when somebody comes back after so long. */
const READ_AGAIN_S = 60;

/** Other lots of the producer: what they tasted of, in what they differ, and their recipes to begin with. */
export function Kin({ lot }: { lot: LotView }) {
  const { data: kin = [] } = useKinQuery(lot.id, { refetchOnMountOrArgChange: READ_AGAIN_S });
  const [readRecipe, { error: readError }] = useLazyRecipeQuery();
  const [start, { error: startError, isLoading }] = useStartRecipeMutation();
  const navigate = useNavigate();
  if (kin.length === 0) return null;
  /** A recipe carried over as it is, with what the lots differ in on its first version. */
  async function brewLike(other: KinLotView, { id }: RecipeListItem) {
    const { data: recipe } = await readRecipe(id);
    // The newest, whose figures stand beside the button.
    const version = recipe?.versions[0];
    if (!recipe || !version) return;
    const differs = differenceWords(lot, other);
    const { data } = await start({
      lotId: lot.id,
      recipe: carriedOver(recipe, {
        plan: version.plan,
        note: `Like ${other.name}, version ${version.number}${differs === '' ? '' : `; this lot is ${differs}`}`,
      }),
    });
    if (data) void navigate(`/recipes/${data.id}`);
  }
  return (
    <section>
      <h2 className="heading mb-1">From the same producer or farm</h2>
      <TroubleNotice trouble={troubleOf(readError) ?? troubleOf(startError)} />
      <ul className="text-small">
        {kin.map((other) => (
          <li key={other.id} className="border-b border-rule py-2">
            <Link to={`/lots/${other.id}`} className="font-semibold underline-offset-3 hover:underline">
              {other.name}
            </Link>{' '}
            <span className="text-quiet">same {other.sharedBy}</span>
            {other.labelNotes.length > 0 && <p>{labelNotesText(other.labelNotes)}</p>}
            <p className="text-quiet">
              {lotDifferences(lot, other).length === 0
                ? 'No difference is known.'
                : `This lot is ${differenceWords(lot, other)}.`}
            </p>
            {other.recipes.map((recipe) => (
              <div key={recipe.id} className="mt-1 flex items-center gap-3">
                <Link to={`/recipes/${recipe.id}`} className="grow underline-offset-3 hover:underline">
                  {recipe.brewerName}{' '}
                  <span className="reading text-quiet">
                    {formatRatio(planRatio(recipe.plan))} {recipe.plan.kettleC} °C {grindWords(recipe.plan)}
                  </span>
                </Link>
                <Button disabled={isLoading} onClick={() => void brewLike(other, recipe)}>
                  Brew it like this
                </Button>
              </div>
            ))}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** In what a lot differs from another: "natural, not washed; of 2026, not 2025"; empty where nothing is known. */
function differenceWords(lot: LotOrigin, other: LotOrigin): string {
  return lotDifferences(lot, other)
    .map((fact) => `${factWords(lot, fact)}, not ${factWords(other, fact)}`)
    .join('; ');
}

function factWords(lot: LotOrigin, fact: ReturnType<typeof lotDifferences>[number]): string {
  if (fact === 'process') return processWords(lot).toLowerCase();
  if (fact !== 'elevation') return lot[fact];
  const elevation = elevationOf(lot);
  return elevation ? elevationWords(elevation) : '';
}
