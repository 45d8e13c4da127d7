import { benchMoment, benchSteps, formatClock, type BenchEventKind } from '@vendu/core';
import { useAppDispatch } from '../app/store';
import { useShortcut } from '../ui/useShortcut';
import { brewNowMs } from '../app/brewClock';
import { BenchButton } from './BenchButton';
import type { BenchBrew } from './benchBrew';
import { eventNoted, goingPlan } from './benchSlice';

/**
 * What the eye sees on the bed and no scale under the brewer can: with it the forecast of the drain follows this
 * bed, not only the lot.
 */
export function BedSeenButtons({ brew, isActive }: { brew: BenchBrew; isActive: boolean }) {
  const dispatch = useAppDispatch();
  const { key, run, events } = brew;
  function note(kind: BenchEventKind) {
    const { elapsedS } = benchMoment({ run, steps: benchSteps(goingPlan(brew)), nowMs: brewNowMs() });
    const atS = Math.round(elapsedS * 10) / 10;
    dispatch(eventNoted({ key, event: { kind, atS, figure: null, text: '' } }));
  }
  useShortcut('b', isActive ? () => note('bed-shows') : null);
  useShortcut('h', isActive ? () => note('water-stands') : null);
  const last = events.findLast(({ kind }) => kind === 'bed-shows' || kind === 'water-stands');
  return (
    <span
      className="flex flex-wrap items-center gap-2 text-small"
      role="group"
      aria-label="What the bed shows"
    >
      <BenchButton shortcut="B" onClick={() => note('bed-shows')}>
        Bed visible
      </BenchButton>
      <BenchButton shortcut="H" onClick={() => note('water-stands')}>
        Water on the bed
      </BenchButton>
      {last && (
        <span className="text-quiet">
          {last.kind === 'bed-shows' ? 'bed visible' : 'water on the bed'} at{' '}
          <span className="reading">{formatClock(last.atS)}</span>
        </span>
      )}
    </span>
  );
}
