import { useParams } from 'react-router';
import { troubleOf } from '../api/problem';
import { useKitQuery } from '../api/kitApi';
import { Loading } from '../ui/Loading';
import { Unavailable } from '../ui/Unavailable';
import { useScrollToHash } from '../ui/useScrollToHash';
import { RecipeSheet } from './RecipeSheet';
import { useRecipeQuery } from '../api/recipesApi';

export function RecipePage() {
  const id = Number(useParams()['recipeId']);
  const { data: recipe, error, isLoading, refetch } = useRecipeQuery(id);
  const { data: kit } = useKitQuery();
  useScrollToHash(recipe !== undefined && kit !== undefined);
  if (isLoading || !kit)
    return error ? <Unavailable trouble={troubleOf(error)} onRetry={() => void refetch()} /> : <Loading />;
  const grinder = kit.grinders.find((each) => each.id === recipe?.grinderId);
  if (!recipe || !grinder) return <Unavailable trouble={troubleOf(error)} onRetry={() => void refetch()} />;
  const brewer = kit.brewers.find((each) => each.id === recipe.brewerId);
  if (!brewer) return <Unavailable trouble={troubleOf(error)} onRetry={() => void refetch()} />;
  return <RecipeSheet key={id} recipe={recipe} grinder={grinder} brewer={brewer} kit={kit} />;
}
