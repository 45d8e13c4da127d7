import { Link } from 'react-router';
import type { ComparisonListItem } from '@vendu/contract';
import { useComparisonsQuery, usePositionsQuery } from '../api/comparisonsApi';
import { troubleOf } from '../api/problem';
import { ButtonLink } from '../ui/Button';
import { dayOf } from '../ui/dates';
import { listed } from '../ui/listed';
import { Loading } from '../ui/Loading';
import { Positions } from '../ui/Positions';
import { Unavailable } from '../ui/Unavailable';
import { METHOD_WORDS } from './comparisonWords';

/** Questions that were asked of the cup, and what the house knows by them. */
export function ComparisonsPage() {
  const { data: comparisons, error, isLoading, refetch } = useComparisonsQuery();
  const { data: positions } = usePositionsQuery();
  if (isLoading) return <Loading />;
  if (!comparisons) return <Unavailable trouble={troubleOf(error)} onRetry={() => void refetch()} />;
  return (
    <>
      <header className="mb-6 flex flex-wrap items-center gap-x-6 gap-y-3">
        <h1 className="grow text-title font-bold">
          Compare <span className="font-normal text-quiet">{comparisons.length}</span>
        </h1>
        <ButtonLink to="/compare/new" weight="main">
          New comparison
        </ButtonLink>
      </header>
      {comparisons.length === 0 && (
        <p className="max-w-xl">
          No comparison yet. It asks one question of two to four versions: which brewer, finer or not, bloom
          or none. Its design is looked through before anything is brewed, and the cups are tasted without
          knowing.
        </p>
      )}
      <div className="grid grid-cols-1 gap-x-10 gap-y-8 lg:grid-cols-[minmax(0,1fr)_22rem]">
        <ul>
          {comparisons.map((each) => (
            <Row key={each.id} comparison={each} />
          ))}
        </ul>
        {comparisons.length > 0 && (
          <section>
            <h2 className="heading mb-2">What this house found out</h2>
            {positions?.length === 0 && (
              <p className="text-small text-quiet">
                Nothing yet. It stands here once a blind test with a sound design is opened.
              </p>
            )}
            {positions && <Positions positions={positions} />}
          </section>
        )}
      </div>
    </>
  );
}

function Row({
  comparison: { id, question, lots, arms, brews, tests, made },
}: {
  comparison: ComparisonListItem;
}) {
  return (
    <li className="border-b border-rule">
      <Link
        to={`/compare/${id}`}
        className="grid gap-x-6 gap-y-1 py-3 hover:bg-wash sm:grid-cols-[minmax(0,1fr)_12rem]"
      >
        <span className="min-w-0">
          <span className="block text-large leading-tight font-semibold">{question}</span>
          <span className="block text-small">{listed(lots.map(({ name }) => name))}</span>
          <span className="caption block">{arms.map(({ name }) => name).join('; ')}</span>
        </span>
        <span className="text-small sm:text-right">
          <span className="block font-medium">{standing(tests, brews)}</span>
          <span className="caption block">
            {made.by}, {dayOf(made.at)}
          </span>
        </span>
      </Link>
    </li>
  );
}

function standing(tests: ComparisonListItem['tests'], brews: number): string {
  const last = tests.at(-1);
  if (!last) return brews === 0 ? 'not brewed yet' : brews === 1 ? '1 brew' : `${brews} brews`;
  const method = METHOD_WORDS[last.method].toLowerCase();
  if (last.state === 'out') return `${method} at the table`;
  if (last.state === 'ended') return `${method} to be opened`;
  return last.isFound ? `a difference, ${last.tasters} tasters` : `none found, ${last.tasters} tasters`;
}
