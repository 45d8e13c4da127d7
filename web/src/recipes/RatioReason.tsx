import type { RatioForAim } from '@vendu/core';

/** Which ratio brings strength and yield to their aim together, and why. */
export function RatioReason({ aim }: { aim: RatioForAim }) {
  return (
    <span className="block">
      <span className="font-medium">The aim asks for 1:{aim.ratio}</span>: {aim.yieldPercent.toFixed(1)} %
      yield at {aim.tdsPercent.toFixed(2)} % strength, and the bed keeps about {aim.retainedGPerG.toFixed(1)}{' '}
      g/g.
    </span>
  );
}
