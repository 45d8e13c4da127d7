import type { BenchStep } from '@vendu/core';

/** What a step says: the doing in a few words, and the figure to look at on the scale. */
export function stepWords(step: BenchStep): { doing: string; figure: string } {
  switch (step.kind) {
    case 'pour':
      return { doing: step.isBloom ? 'Bloom' : `Pour ${step.pourNumber}`, figure: `${step.totalG} g` };
    case 'agitate':
      return { doing: step.how === 'swirl' ? 'Swirl' : 'Stir', figure: '' };
    case 'drawdown':
      return { doing: 'Drained', figure: '' };
  }
}
