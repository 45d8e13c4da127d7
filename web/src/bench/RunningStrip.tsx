import { Link } from 'react-router';
import { benchMoment, benchSteps, formatClock, formatDuration, type AfterBrewTask } from '@vendu/core';
import { useAppDispatch, useAppSelector } from '../state/hooks';
import { goingPlan, soFar, wasStarted, type BenchBrew } from './benchBrew';
import { afterDone, afterPutOff, selectAfter, selectBrews, type AfterBrew } from './benchSlice';
import { stepWords } from './stepWords';
import { useNow } from '../device/useNow';

const TASK_WORDS: Record<AfterBrewTask, { waiting: string; due: string; at: string }> = {
  read: { waiting: 'sample cools', due: 'read the sample', at: '#measure' },
  'taste-warm': { waiting: 'warm tasting', due: 'taste it warm', at: '/taste/warm' },
  'taste-cool': { waiting: 'cool tasting', due: 'taste it cool', at: '/taste/cool' },
};

/** A clock put off comes back after so long, min. */
const PUT_OFF_MIN = 5;
/** More than so many stand in one line, the soonest first. */
const SHOWN_APART = 2;

/** What runs, on every screen: the clocks of the bench, and what comes due after the brews. */
export function RunningStrip() {
  const brews = useAppSelector(selectBrews).filter(wasStarted);
  const after = useAppSelector(selectAfter);
  const nowMs = useNow(brews.length > 0 || after.length > 0 ? 500 : null);
  const waiting = after.flatMap((each) => nextOf(each) ?? []).sort((a, b) => a.dueMs - b.dueMs);
  const [first, ...others] = waiting;
  return (
    <>
      {brews.map((brew) => (
        <Running key={brew.key} brew={brew} nowMs={nowMs} />
      ))}
      {first && waiting.length <= SHOWN_APART && (
        <ul aria-label="After the brews" className={LINE}>
          {waiting.map((each) => (
            <Waiting key={each.after.brewId} waiting={each} nowMs={nowMs} />
          ))}
        </ul>
      )}
      {first && waiting.length > SHOWN_APART && (
        <details className="bg-sheet">
          <summary className={LINE}>
            <span className="flex min-h-9 items-center gap-2">
              <Due waiting={first} nowMs={nowMs} />
              <span className="text-quiet">and {others.length} more</span>
            </span>
          </summary>
          <ul aria-label="After the brews" className={LINE}>
            {waiting.map((each) => (
              <Waiting key={each.after.brewId} waiting={each} nowMs={nowMs} />
            ))}
          </ul>
        </details>
      )}
    </>
  );
}

const LINE = 'flex flex-wrap gap-x-6 border-b border-ink bg-sheet px-4 text-small sm:px-6';

function Running({ brew, nowMs }: { brew: BenchBrew; nowMs: number }) {
  const { phase, elapsedS, next } = benchMoment({
    run: soFar(brew).run,
    steps: benchSteps(goingPlan(brew)),
    nowMs,
  });
  return (
    <Link
      to={`/bench/${brew.recipeVersionId}`}
      className="flex items-baseline gap-4 bg-ink px-4 py-1.5 text-small text-sheet sm:px-6"
    >
      <span className="reading text-large font-semibold">{formatClock(elapsedS)}</span>
      <span>{brew.lotName}</span>
      <span className="opacity-80">
        {phase === 'done'
          ? 'Brewed, kept on this device, not saved yet'
          : next
            ? `next: ${stepWords(next).doing}`
            : ''}
      </span>
      <span className="ml-auto underline">Back to the bench</span>
    </Link>
  );
}

interface WaitingTask {
  after: AfterBrew;
  task: AfterBrewTask;
  dueMs: number;
}

/** The next thing that a brew still wants. */
function nextOf(after: AfterBrew): WaitingTask | null {
  const clock = after.clocks.find(({ task }) => !after.done.includes(task));
  if (!clock) return null;
  const { task, dueS } = clock;
  return { after, task, dueMs: Math.max(after.drainedAtMs + dueS * 1000, after.laterMs[task] ?? 0) };
}

function Due({ waiting: { after, task, dueMs }, nowMs }: { waiting: WaitingTask; nowMs: number }) {
  const leftS = Math.ceil((dueMs - nowMs) / 1000);
  const words = TASK_WORDS[task];
  return (
    <>
      <span className="reading font-semibold text-time">{leftS > 0 ? formatDuration(leftS) : 'now'}</span>
      <span className={leftS > 0 ? 'text-quiet' : 'font-semibold'}>
        {leftS > 0 ? words.waiting : words.due}
      </span>
      <span>{brewWords(after)}</span>
    </>
  );
}

/** Ends by itself once the reading or the tasting is in; until then it may be put off or called done. */
function Waiting({ waiting, nowMs }: { waiting: WaitingTask; nowMs: number }) {
  const dispatch = useAppDispatch();
  const { after, task, dueMs } = waiting;
  const { brewId } = after;
  const words = TASK_WORDS[task];
  return (
    <li className="flex items-center gap-2">
      <Link
        to={`/brews/${brewId}${words.at}`}
        className="flex min-h-9 items-center gap-2 underline-offset-3 hover:underline"
      >
        <Due waiting={waiting} nowMs={nowMs} />
      </Link>
      {dueMs <= nowMs && (
        <button
          type="button"
          aria-label={`In ${PUT_OFF_MIN} minutes: ${words.due}, ${brewWords(after)}`}
          onClick={() => dispatch(afterPutOff({ brewId, task, untilMs: nowMs + PUT_OFF_MIN * 60_000 }))}
          className={QUIET}
        >
          in {PUT_OFF_MIN} min
        </button>
      )}
      <button
        type="button"
        aria-label={`Done: ${words.due}, ${brewWords(after)}`}
        onClick={() => dispatch(afterDone({ brewId, task }))}
        className={QUIET}
      >
        done
      </button>
    </li>
  );
}

const QUIET = 'min-h-9 px-2 text-quiet underline underline-offset-3 hover:text-ink';

function brewWords({ lotName, brewNumber }: AfterBrew): string {
  return brewNumber === null ? lotName : `${lotName}, brew ${brewNumber}`;
}
