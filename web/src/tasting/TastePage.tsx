import { useState } from 'react';
import { Link, Navigate, useParams } from 'react-router';
import { CUP_IS_GONE_H, formatDuration, TASTING_STAGES, type TastingStage } from '@vendu/core';
import type { BrewView } from '@vendu/contract';
import { JUST_READ_S, useBrewQuery } from '../api/brewsApi';
import { useKitQuery } from '../api/kitApi';
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

const USUAL_ROOM_C = 22;
/** So often it is asked whether somebody else has sent his sheet, while the cup is there. */
const POLL_MS = 4000;

/** At the cup: one stage to a screen, as the clock calls them, and what others wrote once one's own is sent. */
export function TastePage() {
  const { brewId, stage: named } = useParams();
  const [isOver, setIsOver] = useState(false);
  const {
    data: brew,
    error,
    isLoading,
    refetch,
  } = useBrewQuery(Number(brewId), {
    refetchOnMountOrArgChange: JUST_READ_S,
    // Others taste at the same table.
    pollingInterval: isOver ? 0 : POLL_MS,
  });
  const { data: kit } = useKitQuery();
  const personId = useSessionQuery().data?.person?.id;
  const nowMs = useNow(1000);
  if (isLoading) return <Loading />;
  if (!brew || personId === undefined)
    return <Unavailable trouble={troubleOf(error)} onRetry={() => void refetch()} />;
  const isGone = nowMs - Date.parse(brew.startedAt) > CUP_IS_GONE_H * 3_600_000;
  if (isGone !== isOver) setIsOver(isGone);
  const clock = stageClock(brew, { roomC: kit?.house.roomC ?? USUAL_ROOM_C, nowMs });
  const sent = TASTING_STAGES.filter((each) =>
    brew.tastings.some((sheet) => sheet.stage === each && sheet.personId === personId),
  );
  const stage = TASTING_STAGES.find((each) => each === named);
  // Decided once: the page must not turn under a hand that has just sent a sheet.
  if (!stage) return <Navigate to={`/brews/${brew.id}/taste/${stageDue(clock, sent)}`} replace />;
  return (
    <>
      <header className="mb-3">
        <h1 className="text-title leading-tight font-bold">
          Taste it {TASTING_STAGE_WORDS[stage].toLowerCase()}
        </h1>
        <p className="caption">
          <Link to={`/brews/${brew.id}#taste`} className="underline underline-offset-3">
            Brew {brew.number}
          </Link>{' '}
          of {brew.lot.name}, {brew.brewerName}, {dayAndTimeOf(brew.startedAt)}
        </p>
        <BeforeFirstSip additions={brew.lot.additions} process={brew.lot.process} />
      </header>
      <Stages brew={brew} stage={stage} clock={clock} sent={sent} />
      <SheetForm key={`${brew.id}.${stage}`} brew={brew} stage={stage} personId={personId} />
      <SheetsTogether brew={brew} personId={personId} />
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
  brew,
  stage,
  clock,
  sent,
}: {
  brew: BrewView;
  stage: TastingStage;
  clock: StageClock;
  sent: readonly TastingStage[];
}) {
  return (
    <nav aria-label="Stages" className="mb-4 grid max-w-2xl grid-cols-3 border-b border-ink">
      {TASTING_STAGES.map((each) => (
        <Link
          key={each}
          to={`/brews/${brew.id}/taste/${each}`}
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

/** Longer ago than this it is no clock any more, s. */
const LONG_AGO_S = 3 * 3600;

function stageWords(
  stage: TastingStage,
  { called, leftS }: StageClock,
  sent: readonly TastingStage[],
): string {
  if (sent.includes(stage)) return 'sent';
  const left = Math.ceil(leftS(stage));
  if (left > 0) return `in ${formatDuration(left)}`;
  return called === stage && left > -LONG_AGO_S ? 'now' : '';
}
