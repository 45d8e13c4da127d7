import { X } from 'lucide-react';
import type { ReadingSource } from '@vendu/core';
import { classes } from './classes';

interface Reading {
  id: string | number;
  tdsPercent: number;
  source: ReadingSource;
}

/** Readings of the refractometer in turn; each can be taken out. */
export function ReadingList<R extends Reading>({
  readings,
  onRemove,
}: {
  readings: readonly R[];
  onRemove: (reading: R) => void;
}) {
  return (
    <ol className="flex flex-wrap gap-2 empty:hidden">
      {readings.map((reading) => (
        <li
          key={reading.id}
          className={classes(
            'reading flex items-center border-b-2 border-strength text-large text-strength',
            reading.source === 'simulated' && 'border-dashed',
          )}
        >
          {reading.tdsPercent.toFixed(2)}
          {reading.source === 'simulated' && (
            <span className="ml-1 font-words text-tiny text-quiet">simulated</span>
          )}
          <button
            type="button"
            aria-label={`Remove the reading ${reading.tdsPercent.toFixed(2)} %`}
            className="ml-1 min-h-6 p-1 text-quiet hover:text-ink"
            onClick={() => onRemove(reading)}
          >
            <X aria-hidden size={14} />
          </button>
        </li>
      ))}
    </ol>
  );
}
