import { Link } from 'react-router';
import { recheckWords, sharedWords, WATCHED_WORDS } from '@vendu/core';
import type { WatchedRecipe } from '@vendu/contract';
import { troubleOf } from '../api/problem';
import { useWatchListQuery } from '../api/watchApi';
import { ButtonLink } from '../ui/Button';
import { classes } from '../ui/classes';
import { dayOf } from '../ui/dates';
import { Loading } from '../ui/Loading';
import { Unavailable } from '../ui/Unavailable';
import { PRINT } from './figureWords';

/** What is out: what went off first, then by when it is to be brewed again. */
export function WatchPage() {
  const { data, error, isLoading, refetch } = useWatchListQuery();
  if (isLoading) return <Loading />;
  if (!data) return <Unavailable trouble={troubleOf(error)} onRetry={() => void refetch()} />;
  const off = data.recipes.filter(({ alarms }) => alarms.length > 0);
  const due = data.recipes.filter(({ alarms, reasons }) => alarms.length === 0 && reasons.length > 0);
  const holding = data.recipes.filter(({ alarms, reasons }) => alarms.length === 0 && reasons.length === 0);
  return (
    <>
      <h1 className="text-title font-bold">
        Watch <span className="font-normal text-quiet">{data.total}</span>
      </h1>
      <p className="mb-6 text-quiet">{summaryOf(data.recipes, off, due)}</p>
      {data.shared.map((shared) => (
        <p key={shared.grinder ?? 'meter'} className="mb-6 border-l-2 border-alarm pl-4 font-medium">
          {sharedWords(shared)}
        </p>
      ))}
      <Group title="Went off" recipes={off} />
      <Group title="To brew again" recipes={due} />
      <Group title="Holds" recipes={holding} />
      {data.total > data.recipes.length && (
        <p className="caption">
          The {data.recipes.length} that press most, of {data.total} lots.
        </p>
      )}
    </>
  );
}

function summaryOf(
  all: readonly WatchedRecipe[],
  off: readonly WatchedRecipe[],
  due: readonly WatchedRecipe[],
): string {
  if (all.length === 0)
    return 'Nothing is public yet. Once a recipe is, it is brewed again here as its roast ages.';
  if (off.length === 0 && due.length === 0) return 'All that is public holds; nothing is due.';
  return [
    ...(off.length > 0 ? [`${off.length} went off`] : []),
    ...(due.length > 0 ? [`${due.length} to brew again`] : []),
  ].join(', ');
}

function Group({ title, recipes }: { title: string; recipes: readonly WatchedRecipe[] }) {
  if (recipes.length === 0) return null;
  return (
    <section className="mb-8">
      <h2 className="heading">{title}</h2>
      <ul>
        {recipes.map((recipe) => (
          <Watched key={recipe.recipeId} recipe={recipe} />
        ))}
      </ul>
    </section>
  );
}

function Watched({ recipe }: { recipe: WatchedRecipe }) {
  const { recipeId, recipeVersionId, versionNumber, lotName, brewerName, alarms, reasons } = recipe;
  const isPressing = alarms.length > 0 || reasons.length > 0;
  return (
    <li className="grid grid-cols-1 items-center gap-x-6 gap-y-2 border-b border-rule py-3 md:grid-cols-[minmax(0,18rem)_minmax(0,1fr)_auto]">
      <Link to={`/recipes/${recipeId}/watch`} className="min-w-0 hover:underline">
        <span className="block text-large leading-tight font-semibold">{lotName}</span>
        <span className="caption">
          {brewerName}, version {versionNumber}
        </span>
      </Link>
      <ul className="text-small">
        {alarms.map(({ figure, value, centre, number }) => (
          <li key={figure} className="font-medium text-alarm">
            <span className="first-letter:uppercase inline-block">{WATCHED_WORDS[figure]}</span>{' '}
            <span className="reading">{PRINT[figure](value)}</span>, proven{' '}
            <span className="reading">{PRINT[figure](centre)}</span>, brew {number}
          </li>
        ))}
        {reasons.map((reason, index) => (
          <li key={index}>{recheckWords(reason)}</li>
        ))}
        <li className={classes('text-quiet', isPressing && 'hidden')}>Due {dayOf(recipe.dueOn)}</li>
      </ul>
      <ButtonLink to={`/bench/${recipeVersionId}?recipe=${recipeId}`} weight={isPressing ? 'main' : 'plain'}>
        Brew it
      </ButtonLink>
    </li>
  );
}
