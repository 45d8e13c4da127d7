import { OtherBenches } from '../bench/OtherBenches';
import { useRef } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { LOTS_PER_PAGE, type LotsQueryDto } from '@vendu/contract';
import { troubleOf } from '../api/problem';
import { Button, ButtonLink } from '../ui/Button';
import { Loading } from '../ui/Loading';
import { Unavailable } from '../ui/Unavailable';
import { useShortcut } from '../ui/useShortcut';
import { LotFilters } from './LotFilters';
import { LotTable } from './LotTable';
import { addressOf, lotsQueryOf } from './lotsQuery';
import { NoLots } from './NoLots';
import { useLotsQuery } from '../api/lotsApi';

export function LotsPage() {
  const [address, setAddress] = useSearchParams();
  const query = lotsQueryOf(address);
  // What is on screen stays while the next page comes.
  const { data, error, isLoading, refetch } = useLotsQuery(query);
  const navigate = useNavigate();
  const searchField = useRef<HTMLInputElement>(null);
  useShortcut('n', () => void navigate('/lots/new'));
  useShortcut('/', () => searchField.current?.focus());
  if (isLoading) return <Loading />;
  if (!data) return <Unavailable trouble={troubleOf(error)} onRetry={() => void refetch()} />;

  const allLots = Object.values(data.countByStage).reduce((sum, count) => sum + count, 0);
  /** Another filter begins at its first page. */
  const change = (changed: Partial<LotsQueryDto>) =>
    setAddress(addressOf({ ...query, page: 1, ...changed }), { replace: true });
  return (
    <>
      <div className="mb-4 flex flex-wrap items-end gap-x-3 gap-y-1">
        <h1 className="grow text-title font-bold">
          Lots <span className="font-normal text-quiet">{allLots}</span>
        </h1>
        <a
          href={`/api/lots.csv?${addressOf({ ...query, page: 1 }).toString()}`}
          download
          className="inline-flex min-h-9 items-center px-3 text-small font-semibold text-quiet hover:text-ink"
        >
          Save as CSV
        </a>
        <ButtonLink to="/lots/import" weight="quiet">
          Import from CSV
        </ButtonLink>
        <ButtonLink to="/lots/new" weight="main" shortcut="N">
          Add a lot
        </ButtonLink>
      </div>
      {allLots === 0 ? (
        <NoLots />
      ) : (
        <>
          <LotFilters
            query={query}
            countByStage={data.countByStage}
            allLots={allLots}
            searchField={searchField}
            onChange={change}
          />
          {data.lots.length === 0 ? (
            <p className="border-t border-ink py-6">
              No lot fits.{' '}
              <Button onClick={() => setAddress(new URLSearchParams())}>Show all {allLots} lots</Button>
            </p>
          ) : (
            <LotTable lots={data.lots} query={query} onChange={change} />
          )}
          <Pages query={query} total={data.total} onTurn={(page) => change({ page })} />
        </>
      )}
      <OtherBenches />
    </>
  );
}

function Pages({
  query,
  total,
  onTurn,
}: {
  query: LotsQueryDto;
  total: number;
  onTurn: (page: number) => void;
}) {
  const last = Math.max(1, Math.ceil(total / LOTS_PER_PAGE));
  if (last === 1) return null;
  const from = (query.page - 1) * LOTS_PER_PAGE + 1;
  return (
    <nav aria-label="Pages" className="mt-4 flex items-center gap-3 text-small">
      <Button disabled={query.page <= 1} onClick={() => onTurn(query.page - 1)}>
        Before
      </Button>
      <span className="reading">
        {from}–{Math.min(total, from + LOTS_PER_PAGE - 1)} of {total}
      </span>
      <Button disabled={query.page >= last} onClick={() => onTurn(query.page + 1)}>
        After
      </Button>
    </nav>
  );
}
