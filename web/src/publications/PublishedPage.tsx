import { useSearchParams } from 'react-router';
import { troubleOf } from '../api/problem';
import { PUBLISHED_PER_PAGE } from '@vendu/contract';
import { Button } from '../ui/Button';
import { Loading } from '../ui/Loading';
import { Unavailable } from '../ui/Unavailable';
import { usePublishedQuery } from './publishedApi';
import { PublicHeader } from './PublicHeader';
import { PublishedRecipe } from './PublishedRecipe';

/** All published recipes, the newest first, open to everyone. */
export function PublishedPage() {
  const [address, setAddress] = useSearchParams();
  const page = Math.max(1, Math.floor(Number(address.get('page') ?? 1)) || 1);
  const { data, error, isLoading, refetch } = usePublishedQuery(page);
  const recipes = data?.recipes;
  const first = recipes?.[0];
  const last = Math.max(1, Math.ceil((data?.total ?? 0) / PUBLISHED_PER_PAGE));
  const turn = (to: number) => setAddress(to === 1 ? {} : { page: String(to) });
  return (
    <div className="min-h-dvh">
      <PublicHeader />
      <main className="mx-auto max-w-5xl px-5 py-6">
        <h1 className="text-title font-bold">Published recipes</h1>
        <p className="mb-5 text-quiet">
          {first ? `${first.houseName}, ${first.housePlace}. ` : ''}Signed off by the house, to be brewed at
          home: choose a coffee and follow the steps with its clock.
        </p>
        {isLoading && <Loading />}
        {error && <Unavailable trouble={troubleOf(error)} onRetry={() => void refetch()} />}
        {data?.total === 0 && (
          <p className="border-t border-ink pt-4">
            No recipe is public yet. A lead publishes a version once it is signed off.
          </p>
        )}
        <ul className="grid grid-cols-1 gap-6 md:grid-cols-2">
          {recipes?.map((recipe) => (
            <PublishedRecipe key={recipe.slug} recipe={recipe} />
          ))}
        </ul>
        <p className="mt-6 text-small text-quiet">
          What is new, in a reader of feeds:{' '}
          <a href="/api/published.atom" className="underline underline-offset-3">
            published.atom
          </a>
        </p>
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
