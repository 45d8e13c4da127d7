import { useEffect, useState } from 'react';
import { Link, Navigate, useLocation, useParams, useSearchParams } from 'react-router';
import { troubleOf } from '../api/problem';
import { useAppDispatch, useAppSelector } from '../state/hooks';
import { groundOf } from '../kit/groundOf';
import { useKitQuery } from '../api/kitApi';
import { useRecipeQuery } from '../api/recipesApi';
import { useSessionQuery } from '../session/sessionApi';
import { ButtonLink } from '../ui/Button';
import { Loading } from '../ui/Loading';
import { Unavailable } from '../ui/Unavailable';
import { Bench } from './Bench';
import { wasStarted, type BenchBrew } from './benchBrew';
import { brewLaidOut, MOST_BREWS, selectBrews } from './benchSlice';
import { groundOn } from './groundOn';
import { uuid } from '../device/uuid';

/** The bench with a version on it: the brew of it that is there already, or a new one beside what runs. */
export function BenchPage() {
  const versionId = Number(useParams()['versionId']);
  return <BenchOf key={versionId} versionId={versionId} />;
}

function BenchOf({ versionId }: { versionId: number }) {
  const brews = useAppSelector(selectBrews);
  // One that was laid out before and never started is laid out anew: the roast batch may be another by now.
  const [key] = useState(
    () => brews.find((brew) => brew.recipeVersionId === versionId && wasStarted(brew))?.key ?? uuid(),
  );
  const shown = brews.filter((brew) => wasStarted(brew) || brew.key === key);
  const isThere = shown.some(({ recipeVersionId }) => recipeVersionId === versionId);
  const isFull = brews.filter(wasStarted).length >= MOST_BREWS;
  const [wasThere, setWasThere] = useState(false);
  if (isThere && !wasThere) setWasThere(true);
  // A brew in progress needs no server and no session: it goes on whatever else fails.
  if (isThere) return <Bench brews={shown} />;
  // Stored or cleared just now: the next page is on its way, and no new brew is wanted.
  if (wasThere) return null;
  return isFull ? <BenchFull brews={shown} /> : <LayOut brewKey={key} versionId={versionId} />;
}

/** Fetches what a new brew needs and lays it on the bench. */
function LayOut({ brewKey: key, versionId }: { brewKey: string; versionId: number }) {
  const [address] = useSearchParams();
  const recipeId = Number(address.get('recipe'));
  const fromCard = address.get('from') === 'card';
  // For one side of a comparison.
  const [armId, comparisonId] = [Number(address.get('arm')), Number(address.get('comparison'))];
  const letter = address.get('letter') ?? '';
  // On another grinder than the recipe's, to tell the two apart.
  const onGrinderId = Number(address.get('on'));
  const { data: session, isLoading: isSessionLoading } = useSessionQuery();
  const { data: recipe, error, isLoading, refetch } = useRecipeQuery(recipeId);
  const { data: kit, isLoading: isKitLoading } = useKitQuery();
  const dispatch = useAppDispatch();
  const { pathname, search } = useLocation();
  const version = recipe?.versions.find(({ id }) => id === versionId);
  const roastBatchId = recipe?.latestRoastBatchId ?? null;
  useEffect(() => {
    if (!recipe || !version || !kit || roastBatchId === null) return;
    const onGrinder = kit.grinders.find(({ id }) => id === onGrinderId);
    const paper = kit.papers.find(({ id }) => id === recipe.paperId);
    dispatch(
      brewLaidOut({
        key,
        lotId: recipe.lot.id,
        lotName: recipe.lot.name,
        additions: recipe.lot.additions,
        recipeId: recipe.id,
        brewerName: recipe.brewerName,
        paper: recipe.paperName,
        rinseG: paper?.rinseG ?? 0,
        fold: paper?.fold ?? null,
        seating: paper?.seating ?? null,
        wallMaterial: kit.brewers.find(({ id }) => id === recipe.brewerId)?.wallMaterial ?? null,
        soakMin: paper?.soakMin ?? null,
        retainedG: kit.grinders.find(({ id }) => id === recipe.grinderId)?.retainedG ?? null,
        grinderId: recipe.grinderId,
        fromCard,
        arm: armId > 0 ? { id: armId, comparisonId, letter } : null,
        grinderName: recipe.grinderName,
        grinderSetting: version.grinderSetting,
        secondSetting: version.secondSetting,
        ...(onGrinder ? groundOn(onGrinder, version.plan) : {}),
        recipeVersionId: version.id,
        versionNumber: version.number,
        roastBatchId,
        plan: version.plan,
        ground: groundOf(recipe, kit),
        scale: { kind: 'none' },
      }),
    );
  }, [dispatch, key, recipe, version, kit, roastBatchId, fromCard, onGrinderId, armId, comparisonId, letter]);
  if (isSessionLoading || isLoading || isKitLoading) return <Loading />;
  if (session && !session.person)
    return <Navigate to="/sign-in" state={{ from: pathname + search }} replace />;
  if (recipe && version && roastBatchId !== null) return <Loading />;
  if (recipe && version) return <NotRoasted lotId={recipe.lot.id} lotName={recipe.lot.name} />;
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

/** Nothing to brew: the lot is there as green only. */
function NotRoasted({ lotId, lotName }: { lotId: number; lotName: string }) {
  return (
    <main className="max-w-xl p-10">
      <h1 className="mb-2 text-title font-bold">{lotName} is not roasted yet</h1>
      <p className="mb-4">Add its first roast batch on the page of the lot; then it can be brewed.</p>
      <ButtonLink to={`/lots/${lotId}`} weight="main">
        Open the lot
      </ButtonLink>
    </main>
  );
}

function BenchFull({ brews }: { brews: readonly BenchBrew[] }) {
  return (
    <main className="max-w-xl p-10">
      <h1 className="mb-2 text-title font-bold">Two brews are on the bench</h1>
      <p className="mb-4">
        {brews.map(({ lotName, versionNumber }) => `${lotName}, version ${versionNumber}`).join('; ')}. Save
        or abandon one of them first.
      </p>
      <ButtonLink to={`/bench/${brews[0]?.recipeVersionId ?? 0}`} weight="main">
        Open the bench
      </ButtonLink>{' '}
      <Link to="/lots" className="ml-3 underline">
        All lots
      </Link>
    </main>
  );
}
