import { Link } from 'react-router';
import { benchMoment, benchSteps, formatClock } from '@vendu/core';
import { useAppSelector } from '../app/store';
import { selectBenchBrew } from './benchSlice';
import { stepWords } from './stepWords';
import { useNow } from './useNow';

/** What runs, on every screen: the clock of the bench and what is due on it. */
export function RunningStrip() {
  const brew = useAppSelector(selectBenchBrew);
  const nowMs = useNow(brew !== null && brew.run.marks.length > 0 ? 500 : null);
  if (brew === null || brew.run.marks.length === 0) return null;
  const { phase, elapsedS, next } = benchMoment({ run: brew.run, steps: benchSteps(brew.plan), nowMs });
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
