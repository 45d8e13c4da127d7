import { useState, type ReactNode } from 'react';
import type { InstrumentKind, InstrumentView } from '@vendu/contract';
import { troubleOf } from '../api/problem';
import { Button } from '../ui/Button';
import { dayAndTimeOf } from '../ui/dates';
import { firstFault } from '../ui/firstFault';
import { TroubleNotice } from '../ui/Notice';
import { QuantityField } from '../ui/QuantityField';
import { CELSIUS, GRAMS, PERCENT_FINE, inRange, type Quantity } from '../ui/quantities';
import { useAddZeroCheckMutation } from '../api/kitApi';
import { ZeroAge } from './ZeroAge';

const SHOWS: Record<InstrumentKind, Quantity> = {
  scale: GRAMS,
  refractometer: PERCENT_FINE,
  thermometer: CELSIUS,
};
const ZERO_ON: Record<InstrumentKind, string> = {
  scale: 'empty',
  refractometer: 'on clean water',
  thermometer: 'in ice water',
};

/** An instrument with its last zero check and the next one. */
export function InstrumentRow({ instrument, children }: { instrument: InstrumentView; children: ReactNode }) {
  const [add, { error }] = useAddZeroCheckMutation();
  const [shown, setShown] = useState<number | null>(null);
  const quantity = SHOWS[instrument.kind];
  const { lastZero } = instrument;
  async function write() {
    if (shown === null) return;
    const { data } = await add({ instrumentId: instrument.id, shown });
    if (data) setShown(null);
  }
  return (
    <li className="flex flex-wrap items-center gap-x-6 gap-y-1 lg:grid lg:grid-cols-[14rem_1fr_auto_auto] border-b border-rule py-2">
      <span>
        <span className="font-semibold">{instrument.name}</span>
        <span className="block text-small text-quiet">
          {instrument.kind}, shows{' '}
          <span className="reading">
            {instrument.resolution} {quantity.unit}
          </span>
        </span>
      </span>
      <span className="text-small">
        <ZeroAge instrument={instrument} />
        {lastZero ? (
          <span className="text-quiet">
            Showed{' '}
            <span className="reading text-ink">
              {quantity.format(lastZero.shown)} {quantity.unit}
            </span>{' '}
            {ZERO_ON[instrument.kind]}, {dayAndTimeOf(lastZero.at)}, {lastZero.by}
          </span>
        ) : (
          <span className="text-quiet">Never checked.</span>
        )}
        <TroubleNotice trouble={troubleOf(error)} />
      </span>
      <form
        noValidate
        className="flex items-center gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          if (!firstFault(event.currentTarget)) void write();
        }}
      >
        <QuantityField
          labelHidden
          label={`${instrument.name} shows ${ZERO_ON[instrument.kind]}`}
          quantity={inRange(quantity, { label: 'Shown', min: -100, max: 200 })}
          value={shown}
          onCommit={setShown}
          placeholder="shows now"
          className="w-44"
        />
        <Button type="submit">Save</Button>
      </form>
      {children}
    </li>
  );
}
