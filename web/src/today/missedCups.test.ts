import { expect, it } from 'vitest';
import type { TodayAfter } from '@vendu/contract';
import { missedCups } from './missedCups';

const after = (brewId: number, lotName: string, number: number): TodayAfter => ({
  brewId,
  lotName,
  number,
  drainedAt: '2026-03-01T10:00:00.000Z',
  left: ['read'],
  sipMg: 4,
});

it('an afternoon of cups that nobody gets to is a line for each lot, by step, in the order brewed', () => {
  const afters = [after(9, 'Kivu', 2), after(8, 'Kivu', 1), after(7, 'Sidra', 4)];
  const missed = [
    { id: 'brew-9', follow: 'read' as const },
    { id: 'brew-7', follow: 'read' as const },
    { id: 'brew-8', follow: 'read' as const },
    { id: 'brew-8', follow: 'taste-cool' as const },
    // One that was thrown away since the day was planned.
    { id: 'brew-99', follow: 'read' as const },
  ];
  const [first, second] = [
    { brewId: 8, number: 1 },
    { brewId: 9, number: 2 },
  ];
  expect(missedCups(missed, afters)).toEqual([
    {
      lotName: 'Kivu',
      steps: [
        { follow: 'read', brews: [first, second] },
        { follow: 'taste-cool', brews: [first] },
      ],
    },
    { lotName: 'Sidra', steps: [{ follow: 'read', brews: [{ brewId: 7, number: 4 }] }] },
  ]);
});
