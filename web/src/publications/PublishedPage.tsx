import { Link, useSearchParams } from 'react-router';
import { formatRatio, planRatio } from '@vendu/core';
import { troubleOf } from '../api/problem';
import { PUBLISHED_PER_PAGE } from '@vendu/contract';
import { StaircaseThumb } from '../staircase/StaircaseThumb';
import { Button } from '../ui/Button';
import { countryName } from '../ui/countries';
import { Loading } from '../ui/Loading';
import { Unavailable } from '../ui/Unavailable';
import { PROCESS_WORDS } from '../ui/words';
import { usePublishedQuery } from './publishedApi';
import { PublicHeader } from './PublicHeader';

/** All published recipes, the newest first, open to everyone. */
export function PublishedPage() {
  const [address, setAddress] = useSearchParams();
  const page = Math.max(1, Math.floor(Number(address.get('page') ?? 1)) || 1);
  const { data, error, isLoading, refetch } = usePublishedQuery(page);
  const recipes = data?.recipes;
  const last = Math.max(1, Math.ceil((data?.total ?? 0) / PUBLISHED_PER_PAGE));
  const turn = (to: number) => setAddress(to === 1 ? {} : { page: String(to) });
  return (
    <div className="min-h-dvh">
      <PublicHeader />
      <main className="mx-auto max-w-3xl px-6 py-6">
        <h1 className="mb-4 text-title font-bold">Published recipes</h1>
        {isLoading && <Loading />}
        {error && <Unavailable trouble={troubleOf(error)} onRetry={() => void refetch()} />}
        {data?.total === 0 && (
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
        {last > 1 && (
          <nav aria-label="Pages" className="mt-4 flex items-center gap-3 text-small">
            <Button disabled={page <= 1} onClick={() => turn(page - 1)}>
              Newer
            </Button>
            <span className="reading">
              {page} of {last}
            </span>
            <Button disabled={page >= last} onClick={() => turn(page + 1)}>
              Older
            </Button>
          </nav>
        )}
      </main>
    </div>
  );
}
