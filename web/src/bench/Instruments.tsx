import { useState } from 'react';
import { OUTFLOW_CHOICES } from '../instruments/outflowChoices';
import { SCALE_CHOICES } from '../instruments/scaleChoices';
import { THERMOMETER_CHOICES } from '../instruments/thermometerChoices';
import { cupsOf, type BenchBrew } from './benchBrew';
import { cupWords } from './CupPlan';
import { InstrumentSelects } from './InstrumentSelects';

/** How the brew is read: chosen before the clock, one line once it runs, and open again where something fails. */
export function Instruments({ brew, isStarted }: { brew: BenchBrew; isStarted: boolean }) {
  const [isOpen, setOpen] = useState(false);
  if (!isStarted || isOpen) return <InstrumentSelects brew={brew} />;
  const { scale, thermometer, outflowScale } = brew;
  return (
    <p className="flex flex-wrap items-center gap-x-2 text-small text-quiet">
      <span>Scale: {wordsOf(SCALE_CHOICES, scale)};</span>
      {outflowScale !== 'none' && <span>server: {wordsOf(OUTFLOW_CHOICES, outflowScale)};</span>}
      <span>kettle: {wordsOf(THERMOMETER_CHOICES, thermometer)};</span>
      <span>fractions: {cupWords(cupsOf(brew))}</span>
      <button
        type="button"
        onClick={() => setOpen(true)}
        className="min-h-12 px-2 underline underline-offset-3 hover:text-ink"
      >
        Change
      </button>
    </p>
  );
}

function wordsOf<T>(choices: readonly { words: string; choice: T }[], value: T): string {
  const text = JSON.stringify(value);
  return choices.find(({ choice }) => JSON.stringify(choice) === text)?.words ?? '';
}
