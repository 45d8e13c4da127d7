import { TriangleAlert } from 'lucide-react';
import { BenchButton } from './BenchButton';
import type { BenchBrew } from './benchBrew';
import { takeOver, useSafety } from './runningSync';

/** Another device has taken this brew over: who, and the way back. Above the clock, since two hands at one brew spoil it. */
export function BrewElsewhere({ brew }: { brew: BenchBrew }) {
  const { elsewhere } = useSafety(brew);
  if (elsewhere === null) return null;
  return (
    <div
      role="alert"
      className="mb-2 flex flex-wrap items-center gap-x-4 gap-y-2 border-l-4 border-alarm pl-3 text-alarm"
    >
      <TriangleAlert aria-hidden size={20} className="shrink-0" />
      <p className="min-w-48 flex-1 font-semibold">
        {elsewhere}{' '}
        <span className="font-normal">Marks made here join its record once you bring it back.</span>
      </p>
      <BenchButton onClick={() => takeOver(brew.key)}>Bring it back here</BenchButton>
    </div>
  );
}
