import { Link } from 'react-router';
import { benchMoment, benchSteps, formatClock, formatDuration, type AfterBrewTask } from '@vendu/core';
import { useAppDispatch, useAppSelector } from '../app/store';
import type { BenchBrew } from './benchBrew';
import { afterDone, goingPlan, selectAfter, selectBrews, type AfterBrew } from './benchSlice';
import { stepWords } from './stepWords';
import { useNow } from './useNow';

const TASK_WORDS: Record<AfterBrewTask, { waiting: string; due: string; at: string }> = {
  read: { waiting: 'sample cools', due: 'read the sample', at: '#readings' },
  'taste-warm': { waiting: 'warm tasting', due: 'taste it warm', at: '#tasting' },
  'taste-cool': { waiting: 'cool tasting', due: 'taste it cool', at: '#tasting' },
};

/** What runs, on every screen: the clocks of the bench, and what comes due after the brews. */
export function RunningStrip() {
  const brews = useAppSelector(selectBrews).filter(({ wasStarted }) => wasStarted);
  const after = useAppSelector(selectAfter);
  const nowMs = useNow(brews.length > 0 || after.length > 0 ? 500 : null);
  return (
    <>
      {brews.map((brew) => (
        <Running key={brew.key} brew={brew} nowMs={nowMs} />
      ))}
      {after.length > 0 && (
        <ul
          aria-label="After the brews"
          className="flex flex-wrap gap-x-6 border-b border-ink bg-sheet px-6 text-small"
        >
          {after.map((each) => (
            <After key={each.brewId} after={each} nowMs={nowMs} />
          ))}
        </ul>
      )}
    </>
  );
}

function Running({ brew, nowMs }: { brew: BenchBrew; nowMs: number }) {
  const { phase, elapsedS, next } = benchMoment({
    run: brew.run,
    steps: benchSteps(goingPlan(brew)),
    nowMs,
  });
  return (
    <Link
      to={`/bench/${brew.recipeVersionId}`}
      className="flex items-baseline gap-4 bg-ink px-6 py-1.5 text-small text-sheet"
    >
      <span className="reading text-large font-semibold">{formatClock(elapsedS)}</span>
      <span>{brew.lotName}</span>
      <span className="opacity-80">
        {phase === 'done'
          ? 'Brewed, kept on this device, not stored yet'
          : next
            ? `next: ${stepWords(next).doing}`
            : ''}
      </span>
      <span className="ml-auto underline">Back to the bench</span>
    </Link>
  );
}

/** The next of what a brew still wants; one tap leads to its form, another lets it be. */
function After({ after, nowMs }: { after: AfterBrew; nowMs: number }) {
  const dispatch = useAppDispatch();
  const clock = after.clocks.find(({ task }) => !after.done.includes(task));
  if (!clock) return null;
  const leftS = Math.ceil(clock.dueS - (nowMs - after.drainedAtMs) / 1000);
  const words = TASK_WORDS[clock.task];
  const done = () => dispatch(afterDone({ brewId: after.brewId, task: clock.task }));
  return (
    <li className="flex items-center gap-3">
      <Link
        to={`/brews/${after.brewId}${words.at}`}
        onClick={() => leftS <= 0 && done()}
        className="flex min-h-9 items-center gap-2 underline-offset-3 hover:underline"
      >
        <span className="reading font-semibold text-time">{leftS > 0 ? formatDuration(leftS) : 'now'}</span>
        <span className={leftS > 0 ? 'text-quiet' : 'font-semibold'}>
          {leftS > 0 ? words.waiting : words.due}
        </span>
        <span>{after.lotName}</span>
      </Link>
      <button
        type="button"
        aria-label={`Done: ${words.due}, ${after.lotName}`}
        onClick={done}
        className="min-h-9 px-2 text-quiet underline underline-offset-3 hover:text-ink"
      >
        done
      </button>
    </li>
  );
}
