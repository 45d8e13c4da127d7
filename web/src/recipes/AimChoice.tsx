import { WindowDto } from '@vendu/contract';
import type { ExtractionWindow } from '@vendu/core';
import type { Trouble } from '../api/problem';
import { EditButton } from '../kit/EditButton';
import { FiguresForm } from '../kit/FiguresForm';
import { Button } from '../ui/Button';
import { PERCENT, PERCENT_FINE } from '../ui/quantities';

interface AimChoiceProps {
  /** What holds now. */
  aim: ExtractionWindow;
  isOwn: boolean;
  draftKey: string;
  onChoose: (aim: ExtractionWindow | null) => Promise<Trouble | null>;
}

/** Strength and yield that one recipe aims at: what its school makes of the house's window, or its own. */
export function AimChoice({ aim, isOwn, draftKey, onChoose }: AimChoiceProps) {
  return (
    <div className="flex flex-col gap-1">
      <span className="text-small text-quiet">Aims at{isOwn ? ' (its own)' : ''}</span>
      <div className="flex h-9 items-center gap-3 text-small whitespace-nowrap">
        <span className="reading text-strength">
          {aim.tdsLowPercent.toFixed(2)}–{aim.tdsHighPercent.toFixed(2)} %
        </span>
        <span className="reading text-yield">
          {aim.yieldLowPercent}–{aim.yieldHighPercent} %
        </span>
        <EditButton words="Change" title="What this recipe aims at">
          {(leave) => (
            <FiguresForm
              draftKey={draftKey}
              dto={WindowDto}
              initial={{ ...aim }}
              fields={[
                { field: 'tdsLowPercent', label: 'Strength from', kind: 'figure', quantity: PERCENT_FINE },
                { field: 'tdsHighPercent', label: 'Strength to', kind: 'figure', quantity: PERCENT_FINE },
                { field: 'yieldLowPercent', label: 'Yield from', kind: 'figure', quantity: PERCENT },
                { field: 'yieldHighPercent', label: 'Yield to', kind: 'figure', quantity: PERCENT },
              ]}
              onSave={(window) => onChoose({ ...window })}
              onLeave={leave}
            />
          )}
        </EditButton>
        {isOwn && (
          <Button weight="quiet" onClick={() => void onChoose(null)}>
            Back to the school’s
          </Button>
        )}
      </div>
    </div>
  );
}
