import { useState } from 'react';
import { formatDuration } from '@vendu/core';
import { brewNowMs } from '../device/brewClock';
import { useNow } from '../device/useNow';
import { Button } from '../ui/Button';
import { QuantityField } from '../ui/QuantityField';
import { CLOCK, inRange } from '../ui/quantities';

const DRAIN = inRange(CLOCK, { label: 'Drain time', min: 30, max: 900 });

/** A drain time, typed or timed here: one tap at the first water, one when the stream turns to drops. */
export function DrainTimed({
  label,
  value,
  onChange,
}: {
  label: string;
  value: number | null;
  onChange: (drawdownS: number) => void;
}) {
  const [startedMs, setStartedMs] = useState<number | null>(null);
  const nowMs = useNow(startedMs === null ? null : 200);
  function stop(fromMs: number) {
    setStartedMs(null);
    onChange(Math.round((brewNowMs() - fromMs) / 1000));
  }
  return (
    <div className="grid grid-cols-[1fr_auto] items-start gap-2">
      <QuantityField
        labelHidden
        label={label}
        placeholder="drained at"
        quantity={DRAIN}
        value={value}
        onCommit={onChange}
      />
      {startedMs === null ? (
        <Button aria-label={`Start timing: ${label}`} onClick={() => setStartedMs(brewNowMs())}>
          Water on
        </Button>
      ) : (
        <Button weight="main" aria-label={`Drained: ${label}`} onClick={() => stop(startedMs)}>
          Drained <span className="reading">{formatDuration(Math.max(0, (nowMs - startedMs) / 1000))}</span>
        </Button>
      )}
    </div>
  );
}
