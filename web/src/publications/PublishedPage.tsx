import { Link } from 'react-router';
import { formatRatio, planRatio } from '@vendu/core';
import { troubleOf } from '../api/problem';
import { StaircaseThumb } from '../staircase/StaircaseThumb';
import { countryName } from '../ui/countries';
import { Loading } from '../ui/Loading';
import { Unavailable } from '../ui/Unavailable';
import { PROCESS_WORDS } from '../ui/words';
import { usePublishedQuery } from './publishedApi';
import { PublicHeader } from './PublicHeader';

/** All published recipes, open to everyone. */
export function PublishedPage() {
  const { data: recipes, error, isLoading, refetch } = usePublishedQuery();
  return (
    <div className="min-h-dvh">
      <PublicHeader />
      <main className="mx-auto max-w-3xl px-6 py-6">
        <h1 className="mb-4 text-title font-bold">Published recipes</h1>
        {isLoading && <Loading />}
        {error && <Unavailable trouble={troubleOf(error)} onRetry={() => void refetch()} />}
        {recipes?.length === 0 && (
          <p>No recipe is public yet. A lead publishes a version once it is signed off.</p>
        )}
        <ul className="border-t border-ink">
          {recipes?.map((recipe) => (
            <li key={recipe.slug} className="border-b border-rule">
              <Link to={`/r/${recipe.slug}`} className="flex flex-wrap items-center gap-5 py-3 hover:bg-wash">
                <StaircaseThumb plan={recipe.plan} width={150} height={44} />
                <span>
                  <span className="block font-semibold">{recipe.lotName}</span>
                  <span className="text-small text-quiet">
                    {countryName(recipe.country)}, {PROCESS_WORDS[recipe.process].toLowerCase()}, for the{' '}
                    {recipe.brewerName},{' '}
                    <span className="reading">{formatRatio(planRatio(recipe.plan))}</span>
                  </span>
                </span>
              </Link>
            </li>
          ))}
        </ul>
      </main>
    </div>
  );
}
