import { LOT_STAGES, type LotStage } from '@vendu/core';
import { classes } from './classes';
import { STAGE_WORDS } from './words';

/** How far a lot is: a short ladder of ticks, the rung it stands on named. */
export function StageLadder({ stage }: { stage: LotStage }) {
  const at = LOT_STAGES.indexOf(stage);
  return (
    <div role="img" aria-label={`${STAGE_WORDS[stage]}, step ${at + 1} of ${LOT_STAGES.length}`}>
      <div aria-hidden className="flex h-3 items-end gap-1">
        {LOT_STAGES.map((each, index) => (
          <span
            key={each}
            className={classes(
              'w-3 border-b-2',
              index === at
                ? 'h-3 border-l-2 border-ink'
                : index < at
                  ? 'h-1.5 border-ink'
                  : 'h-1.5 border-rule',
            )}
          />
        ))}
      </div>
      <span aria-hidden className="mt-1 block text-tiny text-quiet">
        {STAGE_WORDS[stage]}
      </span>
    </div>
  );
}
