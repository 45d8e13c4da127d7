import { labelNotesText, VERDICTS, type Verdict } from '@vendu/core';
import type { BrewView } from '@vendu/contract';
import { troubleOf } from '../api/problem';
import { Choice } from '../ui/Choice';
import { Field, INPUT } from '../ui/Field';
import { TroubleNotice } from '../ui/Notice';
import { SavedMark } from '../saving/SavedMark';
import { useSaved } from '../saving/useSaved';
import { VERDICT_WORDS } from '../ui/words';
import { useGiveVerdictMutation } from '../api/brewsApi';

interface VerdictDraft {
  verdict: Verdict | null;
  reason: string;
}

/** Judged against what this lot is meant to show, not against a general good. */
export function VerdictForm({ brew }: { brew: BrewView }) {
  const stored: VerdictDraft = { verdict: brew.verdict, reason: brew.verdictReason };
  const [give] = useGiveVerdictMutation();
  const saved = useSaved<VerdictDraft>({
    draftKey: `brew.${brew.id}.verdict`,
    stored,
    async send({ verdict, reason }) {
      // A reason alone waits for its verdict, on this device.
      if (verdict === null) return { kind: 'not-set', detail: 'Choose a verdict too.', errors: [] };
      const { error } = await give({ id: brew.id, verdict: { verdict, reason } });
      return troubleOf(error);
    },
  });
  const { verdict, reason } = saved.value;
  return (
    <div className="flex flex-col gap-3 border-t border-ink pt-4">
      <p className="text-small">
        <span className="font-semibold">Verdict</span>
        {brew.lot.labelNotes.length > 0 && (
          <span className="text-quiet">: the label promises {labelNotesText(brew.lot.labelNotes)}</span>
        )}
      </p>
      <div className="flex flex-wrap items-end gap-4">
        <Choice
          label="Verdict"
          value={verdict}
          options={VERDICTS.map((value) => ({ value, label: VERDICT_WORDS[value] }))}
          onChange={(next) => saved.put({ verdict: next, reason })}
        />
        <Field label="Why" className="min-w-72 grow">
          {(control) => (
            <input
              {...control}
              maxLength={500}
              className={INPUT}
              value={reason}
              onChange={(event) => saved.type({ verdict, reason: event.target.value })}
              onBlur={saved.save}
              // Left, it is saved, and the page has its keys back.
              onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
            />
          )}
        </Field>
      </div>
      <TroubleNotice trouble={saved.state.kind === 'unsaved' ? saved.state.trouble : null} />
      <SavedMark saved={saved} what="the verdict" />
    </div>
  );
}
