import { formatDuration, type ProposedChange } from '@vendu/core';
import { chanceWords } from './chanceWords';

/** What a change is expected to give, with its band, and how likely that is on aim. */
export function ChangeFigures({ change: { expected, chance } }: { change: ProposedChange }) {
  const { tdsPercent, yieldPercent, drawdownS } = expected;
  const half = (high: number, low: number) => (high - low) / 2;
  return (
    <dl className="reading grid grid-cols-[auto_auto] gap-x-3 text-right text-small">
      <dt className="sr-only">Strength</dt>
      <dd className="col-span-2 text-strength">
        {tdsPercent.value.toFixed(2)} ± {half(tdsPercent.high, tdsPercent.low).toFixed(2)} %
      </dd>
      <dt className="sr-only">Yield</dt>
      <dd className="col-span-2 text-yield">
        {yieldPercent.value.toFixed(1)} ± {half(yieldPercent.high, yieldPercent.low).toFixed(1)} %
      </dd>
      <dt className="sr-only">Drained</dt>
      <dd className="col-span-2 text-time">{formatDuration(Math.round(drawdownS.value))}</dd>
      <dt className="font-words text-quiet">on aim</dt>
      <dd className="font-semibold">{chanceWords(chance)}</dd>
    </dl>
  );
}
