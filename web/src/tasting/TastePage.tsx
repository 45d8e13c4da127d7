import { useState } from 'react';
import { Link, Navigate, useParams } from 'react-router';
import { CUP_IS_GONE_H, TASTING_STAGES, type TastingStage } from '@vendu/core';
import type { CupView } from '@vendu/contract';
import { useCupQuery } from '../api/cupsApi';
import { troubleOf } from '../api/problem';
import { useNow } from '../device/useNow';
import { useSessionQuery } from '../session/sessionApi';
import { classes } from '../ui/classes';
import { dayAndTimeOf } from '../ui/dates';
import { Loading } from '../ui/Loading';
import { Unavailable } from '../ui/Unavailable';
import { TASTING_STAGE_WORDS } from '../ui/words';
import { BeforeFirstSip } from './BeforeFirstSip';
import { CaffeineToday } from './CaffeineToday';
import { SheetForm } from './SheetForm';
import { SheetsTogether } from './SheetsTogether';
import { stageClock, type StageClock } from './stageClock';
import { stageWords } from './stageWords';

/** So often it is asked whether somebody else has sent his sheet, while the cup is there. */
const POLL_MS = 4000;

/** At the cup: one stage to a screen, as the clock calls them, and what others wrote once one's own is sent. */
export function TastePage() {
  const { brewId, stage: named } = useParams();
  const [isOver, setIsOver] = useState(false);
  const {
    data: cup,
    error,
    isLoading,
    refetch,
  } = useCupQuery(Number(brewId), {
    refetchOnMountOrArgChange: true,
    // Others taste at the same table.
    pollingInterval: isOver ? 0 : POLL_MS,
  });
  const person = useSessionQuery().data?.person;
  const nowMs = useNow(1000);
  if (isLoading) return <Loading />;
  if (!cup || !person) return <Unavailable trouble={troubleOf(error)} onRetry={() => void refetch()} />;
  const isGone = nowMs - Date.parse(cup.startedAt) > CUP_IS_GONE_H * 3_600_000;
  if (isGone !== isOver) setIsOver(isGone);
  const clock = stageClock(cup, nowMs);
  const sent = TASTING_STAGES.filter((each) =>
    cup.tastings.some((sheet) => sheet.stage === each && sheet.personId === person.id),
  );
  const stage = TASTING_STAGES.find((each) => each === named);
  // Decided once: the page must not turn under a hand that has just sent a sheet.
  if (!stage) return <Navigate to={`/brews/${cup.id}/taste/${stageDue(clock, sent)}`} replace />;
  return (
    <>
      <header className="mb-3">
        <h1 className="text-title leading-tight font-bold">
          Taste it {TASTING_STAGE_WORDS[stage].toLowerCase()}
        </h1>
        <p className="caption">
          {person.role === 'taster' ? (
            <Link to="/cups" className="underline underline-offset-3">
              Cups to taste
            </Link>
          ) : (
            <Link to={`/brews/${cup.id}#taste`} className="underline underline-offset-3">
              Brew {cup.number}
            </Link>
          )}
          {person.role === 'taster' ? `: brew ${cup.number}` : ''} of {cup.lot.name}, {cup.brewerName},{' '}
          {dayAndTimeOf(cup.startedAt)}
        </p>
        <BeforeFirstSip additions={cup.lot.additions} process={cup.lot.process} />
      </header>
      <Stages cup={cup} stage={stage} clock={clock} sent={sent} />
      <SheetForm key={`${cup.id}.${stage}`} cup={cup} stage={stage} personId={person.id} />
      <SheetsTogether cup={cup} personId={person.id} />
      <CaffeineToday />
    </>
  );
}

/** What the clock calls, or the first after it that is not sent yet. */
function stageDue({ called }: StageClock, sent: readonly TastingStage[]): TastingStage {
  const from = TASTING_STAGES.slice(TASTING_STAGES.indexOf(called));
  return from.find((each) => !sent.includes(each)) ?? called;
}

function Stages({
  cup,
  stage,
  clock,
  sent,
}: {
  cup: CupView;
  stage: TastingStage;
  clock: StageClock;
  sent: readonly TastingStage[];
}) {
  return (
    <nav aria-label="Stages" className="mb-4 grid max-w-2xl grid-cols-3 border-b border-ink">
      {TASTING_STAGES.map((each) => (
        <Link
          key={each}
          to={`/brews/${cup.id}/taste/${each}`}
          replace
          aria-current={each === stage ? 'page' : undefined}
          className={classes(
            'flex min-h-12 flex-wrap items-baseline gap-x-2 border-b-3 px-1 py-2',
            each === stage ? 'border-ink font-semibold' : 'border-transparent text-quiet hover:text-ink',
          )}
        >
          <span className="text-large">{TASTING_STAGE_WORDS[each]}</span>
          <span className="reading text-tiny font-normal">{stageWords(each, clock, sent)}</span>
        </Link>
      ))}
    </nav>
  );
}
