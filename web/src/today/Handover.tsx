import { Link } from 'react-router';
import { HANDOVER_NOTE, type HandoverEvent } from '@vendu/contract';
import { byField, troubleOf } from '../api/problem';
import { useHandoverQuery, useLeaveNoteMutation } from '../api/todayApi';
import { useDraft } from '../device/draft';
import { Button } from '../ui/Button';
import { dayAndTimeOf } from '../ui/dates';
import { Field, INPUT } from '../ui/Field';
import { TroubleNotice } from '../ui/Notice';

const WORDS: Record<HandoverEvent['kind'], (number: number) => string> = {
  brewed: (number) => `brew ${number}`,
  accepted: (number) => `version ${number} accepted`,
  'signed-off': (number) => `version ${number} signed off`,
  published: (number) => `version ${number} published`,
  withdrawn: (number) => `version ${number} withdrawn`,
};

/** What the last day leaves: what was done, by itself, and what somebody wrote down. */
export function Handover() {
  const { data } = useHandoverQuery();
  const [text, setText, forget] = useDraft('handover', '');
  const [leave, { error, isLoading }] = useLeaveNoteMutation();
  const trouble = troubleOf(error);
  return (
    <section>
      <h2 className="heading mb-2">Handover</h2>
      {data?.notes.map(({ id, text: note, by, at }) => (
        <p key={id} className="mb-2 border-l-2 border-ink pl-3 whitespace-pre-line">
          {note}
          <span className="caption block">
            {by}, {dayAndTimeOf(at)}
          </span>
        </p>
      ))}
      {data && data.events.length === 0 && (
        <p className="text-small text-quiet">Nothing was brewed or signed in the last 24 hours.</p>
      )}
      <ul className="text-small">
        {data?.events.map(({ at, by, kind, lotId, lotName, number, tdsPercent }, index) => (
          <li key={index} className="flex flex-wrap gap-x-3 border-b border-rule py-1.5">
            <span className="reading w-28 shrink-0 text-quiet">{dayAndTimeOf(at)}</span>
            <span>
              <Link to={`/lots/${lotId}`} className="font-semibold hover:underline">
                {lotName}
              </Link>
              , {WORDS[kind](number)}
              {tdsPercent !== null && (
                <span className="reading ml-2 text-strength">{tdsPercent.toFixed(2)} %</span>
              )}
              <span className="text-quiet"> {by}</span>
            </span>
          </li>
        ))}
      </ul>
      <form
        noValidate
        className="mt-4 flex max-w-xl flex-col items-start gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          void leave({ text }).then(({ data: left }) => {
            if (!left) return;
            setText('');
            forget();
          });
        }}
      >
        <Field label="For the next shift" className="w-full" error={byField(trouble?.errors ?? [])['text']}>
          {(control) => (
            <textarea
              {...control}
              rows={2}
              maxLength={HANDOVER_NOTE.max}
              className={`${INPUT} h-auto py-1.5`}
              value={text}
              onChange={(event) => setText(event.target.value)}
            />
          )}
        </Field>
        <Button type="submit" disabled={isLoading}>
          Save the note
        </Button>
        {trouble && trouble.errors.length === 0 && <TroubleNotice trouble={trouble} />}
      </form>
    </section>
  );
}
