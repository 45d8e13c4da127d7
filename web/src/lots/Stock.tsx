import { useState } from 'react';
import type { LotView } from '@vendu/contract';
import { byField, troubleOf } from '../api/problem';
import { Button } from '../ui/Button';
import { dayAndTimeOf } from '../ui/dates';
import { firstFault } from '../ui/firstFault';
import { TroubleNotice } from '../ui/Notice';
import { QuantityField } from '../ui/QuantityField';
import { GRAMS, inRange } from '../ui/quantities';
import { useWeighStockMutation } from '../api/lotsApi';

/** What is left of a lot: as weighed last, less the doses brewed since. */
export function Stock({ lot }: { lot: LotView }) {
  const [weigh, { error, isLoading }] = useWeighStockMutation();
  const [massG, setMassG] = useState<number | null>(null);
  const trouble = troubleOf(error);
  async function send() {
    if (massG === null) return;
    const { data } = await weigh({ id: lot.id, massG });
    if (data) setMassG(null);
  }
  return (
    <>
      <p className="mb-2 flex items-baseline gap-6">
        <span>
          <span className="reading text-large font-semibold text-water">
            {lot.gramsLeftG === null ? '–' : Math.round(lot.gramsLeftG)}
          </span>{' '}
          <span className="text-small text-quiet">
            {lot.gramsLeftG === null ? 'never weighed' : 'g left'}
          </span>
        </span>
        <span className="text-small text-quiet">
          <span className="reading">{lot.gramsBrewedG}</span> g brewed
        </span>
      </p>
      {lot.weighings.length > 0 && (
        <ul className="mb-3 text-small">
          {lot.weighings.slice(0, 3).map(({ massG: weighedG, by, at }) => (
            <li key={at} className="flex gap-4 border-b border-rule py-1">
              <span className="grow text-quiet">
                {dayAndTimeOf(at)}, {by}
              </span>
              <span className="reading text-water">{weighedG} g</span>
            </li>
          ))}
        </ul>
      )}
      <form
        noValidate
        className="flex items-start gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          if (!firstFault(event.currentTarget)) void send();
        }}
      >
        <QuantityField
          label="Weighed now"
          quantity={inRange(GRAMS, { label: 'Stock', min: 0, max: 1_000_000 })}
          value={massG}
          onCommit={setMassG}
          onClear={() => setMassG(null)}
          error={byField(trouble?.errors ?? [])['massG']}
        />
        <Button type="submit" className="mt-6" disabled={isLoading}>
          Save
        </Button>
      </form>
      {trouble && trouble.errors.length === 0 && <TroubleNotice trouble={trouble} />}
    </>
  );
}
