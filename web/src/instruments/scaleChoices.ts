import type { HandName, ScaleBench, SimulatedBed } from '@vendu/core';

/** How the water is read on one bench. */
export type ScaleChoice =
  | { kind: 'none' }
  | { kind: 'simulated'; hand: HandName; bench: ScaleBench; bed?: SimulatedBed }
  | { kind: 'serial' }
  | { kind: 'feed' };

export const SCALE_CHOICES: { words: string; choice: ScaleChoice }[] = [
  { words: 'no scale, by hand', choice: { kind: 'none' } },
  { words: 'scale on a cable', choice: { kind: 'serial' } },
  { words: 'scale over the network', choice: { kind: 'feed' } },
  ...(['steady', 'usual', 'hurried', 'hesitant'] as const).map((hand) => ({
    words: `simulated scale, ${hand} hand`,
    choice: { kind: 'simulated', hand, bench: 'quiet' } as const,
  })),
  {
    words: 'simulated scale, knocked and dropping out',
    choice: { kind: 'simulated', hand: 'usual', bench: 'rough' },
  },
  {
    words: 'simulated scale, battery dying',
    choice: { kind: 'simulated', hand: 'usual', bench: 'dying' },
  },
  ...(['clogging', 'fast-draining'] as const).map((bed) => ({
    words: `simulated scale, ${bed} bed`,
    choice: { kind: 'simulated', hand: 'usual', bench: 'quiet', bed } as const,
  })),
];
