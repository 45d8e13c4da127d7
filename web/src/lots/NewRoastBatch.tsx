import { useState, type SubmitEvent } from 'react';
import { ROAST_LEVELS, type RoastLevel } from '@vendu/core';
import { byField, troubleOf } from '../api/problem';
import { Button } from '../ui/Button';
import { Field, INPUT } from '../ui/Field';
import { firstFault } from '../ui/firstFault';
import { TroubleNotice } from '../ui/Notice';
import { QuantityField } from '../ui/QuantityField';
import { PERCENT, ROAST_CELSIUS, inRange } from '../ui/quantities';
import { Tick } from '../ui/Tick';
import { ROAST_WORDS } from '../ui/words';
import { useAddRoastBatchMutation } from '../api/lotsApi';

export function NewRoastBatch({ lotId, isFirst }: { lotId: number; isFirst: boolean }) {
  const [add, { error, isLoading }] = useAddRoastBatchMutation();
  const [roastedOn, setRoastedOn] = useState('');
  const [level, setLevel] = useState<RoastLevel | ''>('');
  const [loss, setLoss] = useState<number | null>(null);
  const [endC, setEndC] = useState<number | null>(null);
  const [isSample, setIsSample] = useState(false);
  const trouble = troubleOf(error);
  const errors = byField(trouble?.errors ?? []);
  async function send(event: SubmitEvent<HTMLFormElement>) {
    event.preventDefault();
    if (firstFault(event.currentTarget)) return;
    const { data } = await add({
      id: lotId,
      batch: { roastedOn, level: level || null, lossPercent: loss, endC, isSample },
    });
    if (!data) return;
    setRoastedOn('');
    setLoss(null);
    setEndC(null);
    setIsSample(false);
  }
  return (
    <form onSubmit={(event) => void send(event)} noValidate className="flex flex-col gap-2">
      <div className="grid grid-cols-2 items-start gap-3">
        <Field
          label={isFirst ? 'First batch, roasted on' : 'Another batch, roasted on'}
          error={errors['roastedOn']}
        >
          {(control) => (
            <input
              {...control}
              type="date"
              className={INPUT}
              value={roastedOn}
              onChange={(event) => setRoastedOn(event.target.value)}
            />
          )}
        </Field>
        <Field label="Level" error={errors['level']}>
          {(control) => (
            <select
              {...control}
              className={INPUT}
              value={level}
              onChange={(event) => setLevel(event.target.value as RoastLevel | '')}
            >
              <option value="">Not known</option>
              {ROAST_LEVELS.map((each) => (
                <option key={each} value={each}>
                  {ROAST_WORDS[each]}
                </option>
              ))}
            </select>
          )}
        </Field>
        <QuantityField
          label="Loss"
          quantity={inRange(PERCENT, { label: 'Roast loss', min: 5, max: 30 })}
          value={loss}
          onCommit={setLoss}
          onClear={() => setLoss(null)}
          error={errors['lossPercent']}
        />
        <QuantityField
          label="End temperature"
          quantity={inRange(ROAST_CELSIUS, { label: 'End temperature', min: 150, max: 260 })}
          value={endC}
          onCommit={setEndC}
          onClear={() => setEndC(null)}
          error={errors['endC']}
        />
        <Tick label="A sample roast, not for sale" checked={isSample} onChange={setIsSample} />
        <Button type="submit" disabled={isLoading} className="w-fit">
          Add
        </Button>
      </div>
      {trouble && trouble.errors.length === 0 && <TroubleNotice trouble={trouble} />}
    </form>
  );
}
