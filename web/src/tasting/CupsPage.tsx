import { Link } from 'react-router';
import { TASTING_STAGES } from '@vendu/core';
import type { CupOnTable } from '@vendu/contract';
import { useCupsQuery } from '../api/cupsApi';
import { troubleOf } from '../api/problem';
import { useNow } from '../device/useNow';
import { classes } from '../ui/classes';
import { dayAndTimeOf } from '../ui/dates';
import { Loading } from '../ui/Loading';
import { Unavailable } from '../ui/Unavailable';
import { TASTING_STAGE_WORDS } from '../ui/words';
import { BeforeFirstSip } from './BeforeFirstSip';
import { stageClock } from './stageClock';
import { stageWords } from './stageWords';

/** Cups come while people stand at the table. */
const POLL_MS = 8000;

/** The cups that stand on the table now, for whoever tastes along. */
export function CupsPage() {
  const {
    data: cups,
    error,
    isLoading,
    refetch,
  } = useCupsQuery(undefined, {
    refetchOnMountOrArgChange: true,
    pollingInterval: POLL_MS,
  });
  const nowMs = useNow(1000);
  return (
    <>
      <h1 className="mb-5 text-title font-bold">Cups to taste</h1>
      {isLoading && <Loading />}
      {error && <Unavailable trouble={troubleOf(error)} onRetry={() => void refetch()} />}
      {cups?.length === 0 && (
        <p className="max-w-prose text-small text-quiet">
          No cup stands on the table. One that is brewed shows here for two hours.
        </p>
      )}
      {cups && cups.length > 0 && (
        <ul className="max-w-3xl border-t border-ink">
          {cups.map((cup) => (
            <Cup key={cup.id} cup={cup} nowMs={nowMs} />
          ))}
        </ul>
      )}
    </>
  );
}

function Cup({ cup, nowMs }: { cup: CupOnTable; nowMs: number }) {
  const clock = stageClock(cup, nowMs);
  return (
    <li className="border-b border-rule">
      <Link
        to={`/brews/${cup.id}/taste`}
        className="group flex flex-wrap items-baseline gap-x-6 gap-y-1 pt-3 pb-2"
      >
        <span className="min-w-0 grow basis-60">
          <span className="block text-large font-semibold break-words group-hover:underline">
            {cup.lot.name}
          </span>
          <span className="caption block">
            Brew {cup.number}, {cup.brewerName}, brewed {dayAndTimeOf(cup.startedAt)}
          </span>
        </span>
        <span className="grid w-60 grid-cols-3">
          {TASTING_STAGES.map((stage) => {
            const words = stageWords(stage, clock, cup.stagesSent);
            return (
              <span key={stage} className="text-small">
                <span className={classes('block', words === 'now' && 'font-semibold')}>
                  {TASTING_STAGE_WORDS[stage]}
                </span>
                <span className="reading block text-tiny text-quiet">{words}</span>
              </span>
            );
          })}
        </span>
      </Link>
      <div className="pb-3 empty:hidden">
        <BeforeFirstSip additions={cup.lot.additions} process={cup.lot.process} />
      </div>
    </li>
  );
}
