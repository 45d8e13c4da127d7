import { Dialog } from 'radix-ui';
import type { Schools } from '@vendu/core';
import type { Trouble } from '../api/problem';
import { Button } from '../ui/Button';
import { TroubleNotice } from '../ui/Notice';
import { StandChoices } from './StandChoices';
import { SCHOOL_POINTS, SCHOOL_WORDS, standName } from './schoolWords';

interface PositionsProps {
  /** The positions that hold here. */
  schools: Schools;
  house: Schools;
  /** They are its own, even where they say the same as the house. */
  isOwn: boolean;
  trouble?: Trouble | null;
  /** Done when they hold. */
  onChoose: (schools: Schools) => Promise<unknown>;
  onFollowHouse: () => void;
}

/** The positions of one recipe: the house's, or its own where it leaves them. */
export function Positions({
  schools,
  house,
  isOwn,
  trouble = null,
  onChoose,
  onFollowHouse,
}: PositionsProps) {
  const apart = SCHOOL_POINTS.filter((point) => house[point] !== schools[point]);
  return (
    <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
      <p className="text-small">
        {apart.length === 0
          ? 'The positions of the house. Aims and proposals follow them.'
          : `Other than the house: ${apart
              .map((point) => `${SCHOOL_WORDS[point].name.toLowerCase()} ${standName(point, schools)}`)
              .join(', ')}.`}
      </p>
      <div className="flex gap-2">
        <Dialog.Root>
          <Dialog.Trigger asChild>
            <Button>Positions of this recipe</Button>
          </Dialog.Trigger>
          <Dialog.Portal>
            <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/40" />
            <Dialog.Content
              aria-describedby={undefined}
              className="fixed inset-x-8 inset-y-6 z-50 mx-auto max-w-5xl overflow-y-auto border border-ink bg-sheet p-6"
            >
              <div className="mb-3 flex items-center">
                <Dialog.Title className="grow text-title font-bold">Positions of this recipe</Dialog.Title>
                <Dialog.Close asChild>
                  <Button>Close</Button>
                </Dialog.Close>
              </div>
              <TroubleNotice trouble={trouble} />
              <StandChoices schools={schools} house={house} onChoose={onChoose} />
            </Dialog.Content>
          </Dialog.Portal>
        </Dialog.Root>
        {isOwn && (
          <Button weight="quiet" onClick={onFollowHouse}>
            Use the house’s positions
          </Button>
        )}
      </div>
    </div>
  );
}
