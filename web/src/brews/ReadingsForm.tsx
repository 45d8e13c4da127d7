import { X } from 'lucide-react';
import type { SubmitEvent } from 'react';
import { useState } from 'react';
import { parseWithUnit, readingFault } from '@vendu/core';
import type { BrewView } from '@vendu/contract';
import { troubleOf } from '../api/problem';
import { useDraft } from '../device/draft';
import { useKitQuery } from '../api/kitApi';
import { Button } from '../ui/Button';
import { QuantityField } from '../ui/QuantityField';
import { CELSIUS, inRange } from '../ui/quantities';
import { classes } from '../ui/classes';
import { RefractometerReader } from './RefractometerReader';
import { ZeroCheck } from './ZeroCheck';
import { Field, INPUT } from '../ui/Field';
import { offerUndoOf } from '../ui/offerUndo';
import { useAddReadingMutation, useSetReadingRemovedMutation } from '../api/brewsApi';

/** Readings one after the other: type, Enter, type, Enter. */
export function ReadingsForm({
  brew,
  modelTdsPercent,
}: {
  brew: BrewView;
  /** What a stand-in reads; `null` where the model has no answer. */
  modelTdsPercent: number | null;
}) {
  const [text, setText] = useDraft(`brew.${brew.id}.reading`, '');
  const [sampleC, setSampleC] = useDraft<number | null>(`brew.${brew.id}.sample`, null);
  const [complaint, setComplaint] = useState<string>();
  const [add, { error, isLoading }] = useAddReadingMutation();
  const { data: kit } = useKitQuery();
  const [setRemoved] = useSetReadingRemovedMutation();

  async function send(event: SubmitEvent) {
    event.preventDefault();
    const parsed = parseWithUnit(text, '%');
    if (!parsed.ok) {
      setComplaint(parsed.message);
      return;
    }
    const fault = readingFault({ tdsPercent: parsed.value });
    if (fault) {
      setComplaint(fault.message);
      return;
    }
    setComplaint(undefined);
    const { data } = await add({
      id: brew.id,
      reading: { tdsPercent: parsed.value, sampleC, source: 'typed' },
    });
    if (data) setText('');
  }
  function remove(readingId: number, tdsPercent: number) {
    void offerUndoOf(
      setRemoved({ id: brew.id, readingId, removed: true }),
      `Reading ${tdsPercent.toFixed(2)} % removed`,
      () => void setRemoved({ id: brew.id, readingId, removed: false }),
    );
  }
  return (
    <div className="flex flex-col gap-3">
      <ZeroCheck />
      <RefractometerReader brew={brew} sampleC={sampleC} modelTdsPercent={modelTdsPercent} />
      <ol className="flex flex-wrap gap-2 empty:hidden">
        {brew.readings.map(({ id, tdsPercent, source }) => (
          <li
            key={id}
            className={classes(
              'reading flex items-center border-b-2 border-strength text-large text-strength',
              source === 'simulated' && 'border-dashed',
            )}
          >
            {tdsPercent.toFixed(2)}
            {source === 'simulated' && (
              <span className="ml-1 font-words text-tiny text-quiet">simulated</span>
            )}
            <button
              type="button"
              aria-label={`Remove the reading ${tdsPercent.toFixed(2)} %`}
              className="ml-1 p-1 text-quiet hover:text-ink"
              onClick={() => remove(id, tdsPercent)}
            >
              <X aria-hidden size={14} />
            </button>
          </li>
        ))}
      </ol>
      <div className="grid grid-cols-2 items-start gap-3">
        <QuantityField
          label="Sample at"
          hint={sampleHint(sampleC, kit?.house.roomC)}
          quantity={inRange(CELSIUS, { label: 'Sample', min: 0, max: 100 })}
          value={sampleC}
          onCommit={setSampleC}
          onClear={() => setSampleC(null)}
          placeholder="not measured"
        />
        <form onSubmit={(event) => void send(event)} className="flex items-start gap-2">
          <Field
            label={`Reading ${brew.readings.length + 1}, % TDS`}
            hint={brew.readings.length < 3 ? 'at least three, from a cooled, stirred sample' : undefined}
            error={complaint ?? troubleOf(error)?.detail}
            className="grow"
          >
            {(control) => (
              <input
                {...control}
                inputMode="decimal"
                autoComplete="off"
                className={`${INPUT} reading text-strength`}
                value={text}
                onChange={(event) => setText(event.target.value)}
              />
            )}
          </Field>
          <Button type="submit" className="mt-6" disabled={isLoading}>
            Add
          </Button>
        </form>
      </div>
    </div>
  );
}

/** A sample warmer than this above the room is read wrong, C. */
const WARM_BY_C = 5;

function sampleHint(sampleC: number | null, roomC: number | undefined): string {
  if (sampleC === null || roomC === undefined) return 'cooled to the room, stirred, filtered when hazy';
  return sampleC > roomC + WARM_BY_C
    ? `too warm: wait until it is near ${roomC} °C, or the reading is off`
    : 'near the room: good to read';
}
