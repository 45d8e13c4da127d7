import { formatClock } from '@vendu/core';
import { useAppDispatch } from '../state/hooks';
import { useShortcut } from '../ui/useShortcut';
import { BenchButton } from './BenchButton';
import { soFar, type BenchBrew } from './benchBrew';
import { brewTold } from './benchSlice';

/**
 * What the eye sees on the bed and no scale under the brewer can: with it the forecast of the drain follows this
 * bed, not only the lot.
 */
export function BedSeenButtons({ brew, isActive }: { brew: BenchBrew; isActive: boolean }) {
  const dispatch = useAppDispatch();
  const { key } = brew;
  const note = (shows: boolean) => dispatch(brewTold({ key, happened: { kind: 'bed-seen', shows } }));
  useShortcut('b', isActive ? () => note(true) : null);
  useShortcut('h', isActive ? () => note(false) : null);
  const last = soFar(brew).events.findLast(({ kind }) => kind === 'bed-shows' || kind === 'water-stands');
  return (
    <span
      className="flex flex-wrap items-center gap-2 text-small"
      role="group"
      aria-label="What the bed shows"
    >
      <BenchButton shortcut="B" onClick={() => note(true)}>
        Bed visible
      </BenchButton>
      <BenchButton shortcut="H" onClick={() => note(false)}>
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
