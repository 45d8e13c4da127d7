import { formatDuration, type GrindFit } from '@vendu/core';

/** How the model moved the grind, in figures. */
export function GrindReason({ fit }: { fit: GrindFit }) {
  const by = fit.grindUm - fit.wantedUm;
  const wanted = [
    ...(fit.targetDrawdownS === null ? [] : [formatDuration(fit.targetDrawdownS)]),
    `${fit.targetYieldPercent.toFixed(1)}\u00a0%`,
  ].join(' and ');
  return (
    <span className="block">
      <span className="font-medium">
        {by === 0 ? 'The model agrees' : `The model goes ${Math.abs(by)} µm ${by < 0 ? 'finer' : 'coarser'}`}
      </span>
      : it expects {fit.yieldPercent.toFixed(1)} % in {formatDuration(fit.drawdownS)}, target {wanted}.
      {fit.atGrindersEnd && ' This grinder goes no further.'}
    </span>
  );
}
