import { VERDICTS, type Verdict } from '@vendu/core';
import type { BrewView } from '@vendu/contract';
import { troubleOf } from '../api/problem';
import { useDraft } from '../app/draft';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { Field, INPUT } from '../ui/Field';
import { TroubleNotice } from '../ui/Notice';
import { VERDICT_WORDS } from '../ui/words';
import { useGiveVerdictMutation } from './brewsApi';

interface VerdictDraft {
  verdict: Verdict | null;
  reason: string;
}

/** Judged against what this lot is meant to show, not against a general good. */
export function VerdictForm({ brew }: { brew: BrewView }) {
  const stored: VerdictDraft = { verdict: brew.verdict, reason: brew.verdictReason };
  const [draft, change, drop] = useDraft<VerdictDraft | null>(`brew.${brew.id}.verdict`, null);
  const [give, { error, isLoading }] = useGiveVerdictMutation();
  const { verdict, reason } = draft ?? stored;
  async function save() {
    if (verdict === null) return;
    const { data } = await give({ id: brew.id, verdict: { verdict, reason } });
    if (!data) return;
    change(null);
    drop();
  }
  return (
    <div className="flex flex-col gap-3 border-t border-ink pt-4">
      <p className="text-small">
        <span className="font-semibold">Verdict</span>
        {brew.lot.labelNotes && (
          <span className="text-quiet">: the label promises {brew.lot.labelNotes}</span>
        )}
      </p>
      <div className="flex flex-wrap items-end gap-4">
        <Choice
          label="Verdict"
          value={verdict}
          options={VERDICTS.map((value) => ({ value, label: VERDICT_WORDS[value] }))}
          onChange={(next) => change({ verdict: next, reason })}
        />
        <Field label="Why" className="min-w-72 grow">
          {(control) => (
            <input
              {...control}
              maxLength={500}
              className={INPUT}
              value={reason}
              onChange={(event) => change({ verdict, reason: event.target.value })}
            />
          )}
        </Field>
        {draft && (
          <Button weight="main" disabled={isLoading || verdict === null} onClick={() => void save()}>
            Save the verdict
          </Button>
        )}
      </div>
      <TroubleNotice trouble={troubleOf(error)} />
    </div>
  );
}
