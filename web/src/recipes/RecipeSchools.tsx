import type { RecipeView } from '@vendu/contract';
import { troubleOf } from '../api/problem';
import { useKitQuery } from '../api/kitApi';
import { Positions } from '../schools/Positions';
import { useSetRecipeSchoolsMutation } from '../api/recipesApi';

/** The positions that hold for a recipe that is kept. */
export function RecipeSchools({ recipe }: { recipe: RecipeView }) {
  const house = useKitQuery().data?.house.schools;
  const [setSchools, { error }] = useSetRecipeSchoolsMutation();
  if (!house) return null;
  return (
    <section>
      <h2 className="heading mb-2">House style</h2>
      <Positions
        schools={recipe.schools}
        house={house}
        isOwn={recipe.hasOwnSchools}
        trouble={troubleOf(error)}
        onChoose={(schools) => setSchools({ id: recipe.id, schools })}
        onFollowHouse={() => void setSchools({ id: recipe.id, schools: null })}
      />
    </section>
  );
}
