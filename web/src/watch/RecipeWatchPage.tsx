import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { batchShiftWords, causeWords, recheckWords, WATCHED_FIGURES } from '@vendu/core';
import type { WatchView } from '@vendu/contract';
import { troubleOf } from '../api/problem';
import { useKitQuery } from '../api/kitApi';
import { useWatchQuery } from '../api/watchApi';
import { useSessionQuery } from '../session/sessionApi';
import { ButtonLink } from '../ui/Button';
import { dayOf } from '../ui/dates';
import { Loading } from '../ui/Loading';
import { Unavailable } from '../ui/Unavailable';
import { FigureChart } from './FigureChart';
import { Limits } from './Limits';
import { OlderBags } from './OlderBags';
import { Rechecks } from './Rechecks';
import { ORDERS, type Order } from './watchRows';

const ORDER_WORDS: Record<Order, string> = { date: 'by date', age: 'by age of the roast', batch: 'by batch' };

/** Whether a public recipe still gives the cup that was proven. */
export function RecipeWatchPage() {
  const recipeId = Number(useParams()['recipeId']);
  const { data, error, isLoading, refetch } = useWatchQuery(recipeId);
  if (isLoading) return <Loading />;
  if (!data) return <Unavailable trouble={troubleOf(error)} onRetry={() => void refetch()} />;
  return <Watch watch={data} />;
}

function Watch({ watch }: { watch: WatchView }) {
  const isLead = useSessionQuery().data?.person?.role === 'lead';
  const [order, setOrder] = useState<Order>('date');
  const { lotId, lotName, recipeId, brewerName, recipeVersionId, versionNumber } = watch;
  const isPressing = watch.alarms.length > 0 || watch.due.reasons.length > 0;
  return (
    <>
      <header className="mb-5 flex flex-wrap items-end gap-x-6 gap-y-3 border-b border-ink pb-4">
        <div className="grow">
          <p className="caption">
            <Link to={`/lots/${lotId}`} className="underline underline-offset-3">
              {lotName}
            </Link>
            {', '}
            <Link to={`/recipes/${recipeId}`} className="underline underline-offset-3">
              {brewerName}, version {versionNumber}
            </Link>
          </p>
          <h1 className="text-title leading-tight font-bold">{standing(watch)}</h1>
          {watch.due.reasons.map((reason, index) => (
            <p key={index}>
              {recheckWords(reason)}{' '}
              {reason.kind === 'new-batch' && batchShiftWords(watch.batchShift, watch.houseBatches)}
            </p>
          ))}
          {!isPressing && <p className="text-quiet">To brew again on {dayOf(watch.due.dueOn)}.</p>}
        </div>
        <ButtonLink
          to={`/bench/${recipeVersionId}?recipe=${recipeId}`}
          weight={isPressing ? 'main' : 'plain'}
        >
          Brew it
        </ButtonLink>
      </header>
      <Cause watch={watch} />
      <div
        className="mb-3 flex flex-wrap items-center gap-x-4 gap-y-1 text-small"
        role="group"
        aria-label="Order of the brews"
      >
        {ORDERS.map((each) => (
          <button
            key={each}
            type="button"
            aria-pressed={order === each}
            className="min-h-8 border-b-2 border-transparent text-quiet hover:text-ink aria-pressed:border-ink aria-pressed:font-semibold aria-pressed:text-ink"
            onClick={() => setOrder(each)}
          >
            {ORDER_WORDS[each]}
          </button>
        ))}
        <span className="caption ml-auto">
          ring: of the proof; disc: since; band: three deviations either side; bars: from the brew before
        </span>
      </div>
      <div className="mb-8 grid grid-cols-1 gap-x-8 gap-y-6 lg:grid-cols-2">
        {WATCHED_FIGURES.map((figure) => (
          <FigureChart key={figure} watch={watch} figure={figure} order={order} />
        ))}
      </div>
      <div className="grid grid-cols-1 gap-x-10 gap-y-8 lg:grid-cols-[minmax(0,1fr)_24rem]">
        <Rechecks watch={watch} />
        <div className="flex flex-col gap-8">
          <OlderBags watch={watch} isLead={isLead} />
          <Limits watch={watch} isLead={isLead} />
        </div>
      </div>
    </>
  );
}

function standing({ lotName, alarms, phases, versionNumber }: WatchView): string {
  const now = phases.find((phase) => phase.versionNumber === versionNumber);
  if (alarms.length > 0) return `${lotName} went off`;
  return now && now.rechecks.length > 0 ? `${lotName} holds` : `${lotName} is not brewed again yet`;
}

/** What likely drifted, and the one brew that tells it from the rest. */
function Cause({ watch: { cause, lotId, recipeId, recipeVersionId } }: { watch: WatchView }) {
  const { data: kit } = useKitQuery();
  if (!cause) return null;
  const other =
    cause.kind === 'grinder' &&
    kit?.grinders.find(({ name, burrSet }) => `${name}, ${burrSet}` !== cause.grinder);
  const { likely, tellsApart } = causeWords(cause);
  return (
    <section className="mb-6 border-l-2 border-alarm pl-4">
      <h2 className="text-large font-semibold">What likely drifted</h2>
      <p>{likely}</p>
      <p>{tellsApart}</p>
      {other && (
        <p className="mt-1">
          <Link
            to={`/bench/${recipeVersionId}?recipe=${recipeId}&on=${other.id}`}
            className="font-semibold underline underline-offset-3"
          >
            Brew it on {other.name}, {other.burrSet}
          </Link>
        </p>
      )}
      <p className="mt-1 text-small">
        Is it the coffee, change the recipe:{' '}
        <Link to={`/lots/${lotId}#next-change`} className="font-semibold underline underline-offset-3">
          the next change
        </Link>
      </p>
    </section>
  );
}
