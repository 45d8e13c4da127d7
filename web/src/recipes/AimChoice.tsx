import { AimDto } from '@vendu/contract';
import { formatDuration, type Aim, type AimSource } from '@vendu/core';
import type { Trouble } from '../api/problem';
import { EditButton } from '../kit/EditButton';
import { FiguresForm } from '../kit/FiguresForm';
import { Button } from '../ui/Button';
import { CLOCK, PERCENT, PERCENT_FINE, whole } from '../ui/quantities';
import { AIM_SOURCE_WORDS } from '../ui/words';

interface AimChoiceProps {
  /** What holds now. */
  aim: Aim;
  source: AimSource;
  draftKey: string;
  onChoose: (aim: AimDto | null) => Promise<Trouble | null>;
}

/** What one recipe aims at, and where that comes from: the house's window, a position on it, or its own. */
export function AimChoice({ aim, source, draftKey, onChoose }: AimChoiceProps) {
  return (
    <div className="flex flex-col gap-1">
      <span className="text-small text-quiet">Aim, {AIM_SOURCE_WORDS[source]}</span>
      <div className="flex min-h-9 flex-wrap items-center gap-3 text-small whitespace-nowrap">
        <span className="reading text-strength">
          {aim.tdsLowPercent.toFixed(2)}–{aim.tdsHighPercent.toFixed(2)} %
        </span>
        <span className="reading text-yield">
          {aim.yieldLowPercent}–{aim.yieldHighPercent} %
        </span>
        <span className="text-time">
          {aim.drainLowS != null && aim.drainHighS != null ? (
            <span className="reading">
              {formatDuration(aim.drainLowS)}–{formatDuration(aim.drainHighS)}
            </span>
          ) : (
            <span className="text-quiet">any drain time</span>
          )}
        </span>
        <EditButton words="Change" title="What this recipe aims at">
          {(leave) => (
            <FiguresForm
              draftKey={draftKey}
              dto={AimDto}
              initial={{ ...aim }}
              fields={[
                { field: 'tdsLowPercent', label: 'Strength from', kind: 'figure', quantity: PERCENT_FINE },
                { field: 'tdsHighPercent', label: 'Strength to', kind: 'figure', quantity: PERCENT_FINE },
                { field: 'yieldLowPercent', label: 'Yield from', kind: 'figure', quantity: PERCENT },
                { field: 'yieldHighPercent', label: 'Yield to', kind: 'figure', quantity: PERCENT },
                {
                  field: 'drainLowS',
                  label: 'Drain time from',
                  kind: 'figure',
                  quantity: whole(CLOCK),
                  hint: 'empty: any',
                },
                { field: 'drainHighS', label: 'Drain time to', kind: 'figure', quantity: whole(CLOCK) },
              ]}
              onSave={(window) => onChoose({ ...window })}
              onLeave={leave}
            />
          )}
        </EditButton>
        {source === 'recipe' && (
          <Button weight="quiet" onClick={() => void onChoose(null)}>
            Use the house’s aim
          </Button>
        )}
      </div>
    </div>
  );
}
