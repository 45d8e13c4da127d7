import { useState, type SubmitEvent } from 'react';
import { parseWithUnit, readingFault } from '@vendu/core';
import { Button } from './Button';
import { classes } from './classes';
import { Field, INPUT } from './Field';

/** One reading after the other: type, Enter, type, Enter. What cannot be one stays as typed, with the reason under it. */
export function ReadingEntry({
  before,
  text,
  onType,
  onAdd,
  isSending = false,
  trouble,
  className,
}: {
  /** How many there are. */
  before: number;
  text: string;
  onType: (text: string) => void;
  onAdd: (tdsPercent: number) => void;
  isSending?: boolean;
  trouble?: string | undefined;
  className?: string;
}) {
  const [complaint, setComplaint] = useState<string>();
  function add(event: SubmitEvent) {
    event.preventDefault();
    const parsed = parseWithUnit(text, '%');
    const fault = parsed.ok ? readingFault({ tdsPercent: parsed.value }) : parsed;
    setComplaint(fault?.message);
    if (parsed.ok && !fault) onAdd(parsed.value);
  }
  return (
    <form onSubmit={add} className={classes('flex items-start gap-2', className)}>
      <Field
        label={`Reading ${before + 1}, % TDS`}
        hint={before < 3 ? 'at least three, from a cooled, stirred sample' : undefined}
        error={complaint ?? trouble}
        className="grow"
      >
        {(control) => (
          <input
            {...control}
            inputMode="decimal"
            autoComplete="off"
            className={`${INPUT} reading text-strength`}
            value={text}
            onChange={(event) => onType(event.target.value)}
          />
        )}
      </Field>
      <Button type="submit" className="mt-6" disabled={isSending}>
        Add
      </Button>
    </form>
  );
}
