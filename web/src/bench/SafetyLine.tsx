import { memo } from 'react';
import type { BenchBrew } from './benchSlice';
import { useSafety } from './runningSync';

/** What of a running brew is safe where. */
export const SafetyLine = memo(function SafetyLine({ brew }: { brew: BenchBrew }) {
  const safety = useSafety(brew);
  if (brew.run.marks.length === 0) return null;
  return (
    <p className="text-small text-quiet">
      {safety === 'on-server'
        ? 'Marks and notes: on this device and on the server.'
        : 'Marks and notes: on this device; the server does not have the last of them yet.'}
      {brew.scale.kind !== 'none' && ' The curve: on this device; on the server up to the last mark.'}
    </p>
  );
});
