import { formatDuration, type Agitating, type BenchStep } from '@vendu/core';

const AGITATING: Record<Agitating, string> = {
  swirl: 'Swirl',
  stir: 'Stir',
  'wall-stir': 'Stir along the wall',
  needle: 'Needle',
};

/** What a step says: the doing in a few words, and the figure to look at on the scale. */
export function stepWords(step: BenchStep): { doing: string; figure: string } {
  switch (step.kind) {
    case 'pour':
      return {
        doing: `${step.newKettleC === null ? '' : `Kettle to ${step.newKettleC} °C, `}${step.isBloom ? 'Bloom' : `Pour ${step.pourNumber}`}`,
        figure: `${step.totalG} g`,
      };
    case 'agitate':
      return { doing: AGITATING[step.how], figure: '' };
    case 'open-lid':
      return { doing: 'Kettle off, lid open', figure: '' };
    case 'remove-ball':
      return { doing: 'Chilled ball off', figure: '' };
    case 'drawdown':
      return { doing: endDoing(step), figure: '' };
  }
}

function endDoing({ lifts, tailApart }: Extract<BenchStep, { kind: 'drawdown' }>): string {
  if (!lifts) return 'Drained';
  return tailApart ? 'Lift onto its own cup' : 'Lift the brewer';
}

/** How often and how hard the bed is agitated; `null` of other steps, and where the plan leaves it to the hand. */
export function agitatingWords(step: BenchStep): string | null {
  if (step.kind !== 'agitate') return null;
  const said = [
    ...(step.times === null ? [] : [step.times === 1 ? 'once' : `${step.times} times`]),
    ...(step.isHard ? ['hard'] : []),
  ];
  return said.length === 0 ? null : said.join(', ');
}

/** A time as it is said at a bench: seconds up to a minute, the clock from there on. */
export function secondsWords(seconds: number): string {
  return seconds < 60 ? `${seconds} s` : formatDuration(seconds);
}
