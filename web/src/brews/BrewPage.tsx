import { Link, useParams } from 'react-router';
import { troubleOf } from '../api/problem';
import { AdditionsNote } from '../lots/AdditionsNote';
import { Button, ButtonLink } from '../ui/Button';
import { dayAndTimeOf, dayOf } from '../ui/dates';
import { Loading } from '../ui/Loading';
import { Notice } from '../ui/Notice';
import { offerUndoOf } from '../ui/offerUndo';
import { useScrollToHash } from '../ui/useScrollToHash';
import { Unavailable } from '../ui/Unavailable';
import { BesideTable } from './BesideTable';
import { useBrewQuery, useSetAsideMutation } from './brewsApi';
import { Cups, isSplit } from './Cups';
import { DoneStaircase } from './DoneStaircase';
import { DoneSteps } from './DoneSteps';
import { Result } from './Result';
import { TastingSheets } from './TastingSheets';
import { VerdictForm } from './VerdictForm';

export function BrewPage() {
  const id = Number(useParams()['brewId']);
  const { data: brew, error, isLoading, refetch } = useBrewQuery(id);
  const [setAside] = useSetAsideMutation();
  useScrollToHash(brew !== undefined);
  if (isLoading) return <Loading />;
  if (!brew) return <Unavailable trouble={troubleOf(error)} onRetry={() => void refetch()} />;
  return (
    <>
      <header className="mb-5 flex flex-wrap items-start gap-x-4 gap-y-2">
        <div className="min-w-0 grow basis-72">
          <p className="text-small text-quiet">
            <Link to={`/lots/${brew.lot.id}`} className="underline-offset-3 hover:underline">
              {brew.lot.name}
            </Link>
            {', '}
            <Link to={`/recipes/${brew.recipeId}`} className="underline-offset-3 hover:underline">
              {brew.brewerName}, version {brew.versionNumber}
            </Link>
          </p>
          <h1 className="text-title font-bold">Brew {brew.number}</h1>
          <p className="caption">
            {brew.brewedBy}, {dayAndTimeOf(brew.startedAt)}, {brew.roastAgeDays} days after the roast of{' '}
            {dayOf(brew.roastedOn)}
          </p>
          <AdditionsNote additions={brew.lot.additions} />
        </div>
        {!brew.isSetAside && (
          <Button
            weight="quiet"
            onClick={() =>
              void offerUndoOf(
                setAside({ id, aside: true }),
                `Brew ${brew.number} excluded`,
                () => void setAside({ id, aside: false }),
              )
            }
          >
            Exclude this brew
          </Button>
        )}
        <ButtonLink to={`/recipes/${brew.recipeId}`}>To the recipe</ButtonLink>
      </header>
      {brew.isSimulated && (
        <div className="mb-5">
          <Notice>Simulated brew, not evidence: it moves no forecast and no stage of the lot.</Notice>
        </div>
      )}
      {brew.isSetAside && (
        <div className="mb-5">
          <Notice tone="alarm">
            This brew is excluded: it stays in the record, but not in the trail, on the map or in forecasts.{' '}
            <Button onClick={() => void setAside({ id, aside: false })}>Include it again</Button>
          </Notice>
        </div>
      )}

      <Result key={id} brew={brew} />

      <section id="tasting" className="mt-10">
        <h2 className="heading mb-4">Tasting</h2>
        <TastingSheets brew={brew} />
        <div className="mt-6">
          <VerdictForm key={id} brew={brew} />
        </div>
      </section>

      {isSplit(brew) && (
        <div className="mt-10">
          <Cups key={id} brew={brew} />
        </div>
      )}

      <div className="mt-10 grid grid-cols-1 gap-10 xl:grid-cols-2">
        <section>
          <h2 className="heading mb-2">Plan and what was done</h2>
          <DoneStaircase brew={brew} />
          <DoneSteps key={id} brew={brew} />
        </section>
        <section>
          <h2 className="heading mb-2">Beside other brews of this recipe</h2>
          <BesideTable brew={brew} />
        </section>
      </div>
    </>
  );
}
