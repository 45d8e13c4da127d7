import { LOT_STAGES, type LotStage } from '@vendu/core';
import { classes } from './classes';
import { STAGE_WORDS } from './words';

/** How far a lot is: a short ladder of ticks, the rung it stands on named. */
export function StageLadder({ stage }: { stage: LotStage }) {
  const at = LOT_STAGES.indexOf(stage);
  return (
    <div role="img" aria-label={`${STAGE_WORDS[stage]}, step ${at + 1} of ${LOT_STAGES.length}`}>
      <div aria-hidden className="flex h-4 w-fit items-end gap-[7px] border-b border-edge px-px">
        {LOT_STAGES.map((each, index) => (
          <span
            key={each}
            className={classes(
              'w-[3px]',
              index === at ? 'h-4 bg-ink' : index < at ? 'h-2 bg-ink' : 'h-2 bg-rule',
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
