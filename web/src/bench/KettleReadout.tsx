import { pouredAtC, type BenchStep, type BrewPlan } from '@vendu/core';
import { Notice } from '../ui/Notice';
import type { KettleView } from './useKettle';

/** Water this far off its plan is worth a word before it is poured, C. */
const SAID_FROM_C = 1.5;

/** What the thermometer in the kettle shows, and how far that is from the next pour's. */
export function KettleReadout({
  kettle,
  plan,
  next,
  roomC,
}: {
  kettle: KettleView | null;
  plan: BrewPlan;
  next: BenchStep | null;
  /** As far as it is known, C. */
  roomC: number | undefined;
}) {
  if (!kettle) return null;
  if (kettle.trouble !== '') return <Notice tone="alarm">{kettle.trouble}</Notice>;
  const wantedC = next?.kind === 'pour' ? pouredAtC(plan, roomC)[next.pourNumber - 1] : undefined;
  const offC = wantedC === undefined || kettle.kettleC === null ? 0 : kettle.kettleC - wantedC;
  return (
    <span className="flex flex-wrap items-baseline gap-x-4">
      <span className="reading text-[2rem] leading-none font-semibold text-temperature">
        {kettle.kettleC === null ? '–' : kettle.kettleC.toFixed(1)}{' '}
        <span className="text-large font-normal">°C kettle</span>
      </span>
      {Math.abs(offC) >= SAID_FROM_C && (
        <span className="text-large">
          {Math.abs(offC).toFixed(1)} °C {offC < 0 ? 'too cool' : 'too hot'} for the next pour
        </span>
      )}
    </span>
  );
}
