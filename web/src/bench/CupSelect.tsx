import { memo } from 'react';
import type { CupRule } from '@vendu/core';
import { useAppDispatch } from '../app/store';
import { cupsPlanned, type BenchBrew } from './benchSlice';

const RULES: { id: string; words: string; cups: CupRule }[] = [
  { id: 'none', words: 'one cup, or changed by F', cups: { kind: 'none' } },
  ...[10, 15, 30].map((everyS) => ({
    id: `time-${everyS}`,
    words: `a cup every ${everyS} s`,
    cups: { kind: 'time', everyS } as const,
  })),
  ...[30, 60].map((everyG) => ({
    id: `mass-${everyG}`,
    words: `a cup every ${everyG} g on the scale`,
    cups: { kind: 'mass', everyG } as const,
  })),
];

/** Whether the brew is split into cups, and when they are changed. */
export const CupSelect = memo(function CupSelect({ brew }: { brew: BenchBrew }) {
  const dispatch = useAppDispatch();
  const chosen = RULES.find(({ cups }) => JSON.stringify(cups) === JSON.stringify(brew.cups));
  return (
    <label className="flex items-center gap-2 text-small">
      Split into
      <select
        className="h-12 rounded-edge border border-edge bg-raised px-2"
        value={chosen?.id ?? 'none'}
        onChange={({ target }) => {
          const rule = RULES.find(({ id }) => id === target.value);
          if (rule) dispatch(cupsPlanned({ key: brew.key, cups: rule.cups }));
        }}
      >
        {RULES.map(({ id, words }) => (
          <option key={id} value={id}>
            {words}
          </option>
        ))}
      </select>
    </label>
  );
});
