import { Link, Navigate, useLocation, useParams, useSearchParams } from 'react-router';
import { troubleOf } from '../api/problem';
import { useAppDispatch, useAppSelector } from '../app/store';
import { useRecipeQuery } from '../recipes/recipesApi';
import { useSessionQuery } from '../session/sessionApi';
import { ButtonLink } from '../ui/Button';
import { Loading } from '../ui/Loading';
import { Unavailable } from '../ui/Unavailable';
import { Bench } from './Bench';
import { brewLaidOut, selectBenchBrew, stepMarked, type BenchBrew, type LaidOutBrew } from './benchSlice';

/** Puts a version on the bench, or finds the brew of it that runs there already. */
export function BenchPage() {
  const versionId = Number(useParams()['versionId']);
  const brew = useAppSelector(selectBenchBrew);
  // A brew in progress needs no server and no session: it goes on whatever else fails.
  if (brew && brew.recipeVersionId === versionId) return <Bench brew={brew} />;
  if (brew && brew.run.marks.length > 0) return <BenchTaken brew={brew} />;
  return <FreshBench versionId={versionId} />;
}

function FreshBench({ versionId }: { versionId: number }) {
  const recipeId = Number(useSearchParams()[0].get('recipe'));
  const { data: session, isLoading: isSessionLoading } = useSessionQuery();
  const { data: recipe, error, isLoading, refetch } = useRecipeQuery(recipeId);
  const dispatch = useAppDispatch();
  const { pathname, search } = useLocation();
  if (isSessionLoading || isLoading) return <Loading />;
  if (session && !session.person)
    return <Navigate to="/sign-in" state={{ from: pathname + search }} replace />;
  const version = recipe?.versions.find(({ id }) => id === versionId);
  if (!recipe || !version || recipe.latestRoastBatchId === null) {
    return (
      <main className="p-6">
        <Unavailable
          trouble={
            troubleOf(error) ?? { kind: 'not-found', detail: 'There is no such recipe version.', errors: [] }
          }
          onRetry={() => void refetch()}
        />
      </main>
    );
  }
  const laidOut: LaidOutBrew = {
    key: crypto.randomUUID(),
    lotId: recipe.lot.id,
    lotName: recipe.lot.name,
    additions: recipe.lot.additions,
    recipeId: recipe.id,
    brewerName: recipe.brewerName,
    paper: recipe.paperName,
    grinderName: recipe.grinderName,
    grinderSetting: version.grinderSetting,
    recipeVersionId: version.id,
    versionNumber: version.number,
    roastBatchId: recipe.latestRoastBatchId,
    plan: version.plan,
  };
  return (
    <Bench
      brew={{ ...laidOut, run: { marks: [] }, totalsG: {}, note: '' }}
      onStart={(atMs) => {
        dispatch(brewLaidOut(laidOut));
        dispatch(stepMarked({ atMs }));
      }}
    />
  );
}

function BenchTaken({ brew }: { brew: BenchBrew }) {
  return (
    <main className="max-w-xl p-10">
      <h1 className="mb-2 text-title font-bold">Another brew is on the bench</h1>
      <p className="mb-4">
        {brew.lotName}, version {brew.versionNumber}, was started and is not stored yet.
      </p>
      <ButtonLink to={`/bench/${brew.recipeVersionId}`} weight="main">
        Go to it
      </ButtonLink>{' '}
      <Link to="/lots" className="ml-3 underline">
        All lots
      </Link>
    </main>
  );
}
