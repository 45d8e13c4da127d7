import { formatDuration } from '../quantity/duration.js';
import { formatRatio } from '../quantity/ratio.js';
import type { Lever } from './levers.js';
import type { LeverMove } from './search.js';

/** How a move reads on a bench: "grind 50 µm finer, to 630 µm". */
export function describeMove({ lever, from, to }: LeverMove): string {
  const by = Math.abs(to - from);
  switch (lever) {
    case 'grind':
      return `grind ${by} µm ${to < from ? 'finer' : 'coarser'}, to ${to} µm`;
    case 'ratio':
      return `${to < from ? 'less' : 'more'} water per dose, ${formatRatio(from)} to ${formatRatio(to)}`;
    case 'kettle':
      return `kettle ${by} °C ${to < from ? 'cooler' : 'hotter'}, to ${to} °C`;
    case 'bloom':
      return `bloom ${by} s ${to < from ? 'shorter' : 'longer'}, to ${formatDuration(to)}`;
    case 'pours':
      return `${to} pour${to === 1 ? '' : 's'} after the bloom instead of ${from}`;
    case 'agitation':
      return `${to < from ? 'agitate less' : 'agitate more'}: after ${to} pour${to === 1 ? '' : 's'} instead of ${from}`;
  }
}

interface Character {
  /** Where the taste goes (common practice). */
  taste: string;
  /** What speaks against such a move in general. */
  against: string;
}

const CHARACTER: Record<Lever, Record<'up' | 'down', Character>> = {
  grind: {
    up: { taste: 'brighter and lighter-bodied', against: 'coarser may turn thin, and sour below the aim' },
    down: { taste: 'sweeter and rounder, until bitter', against: 'finer works only until the paper clogs' },
  },
  ratio: {
    up: { taste: 'lighter, with more room for florals', against: 'more water fills the brewer higher' },
    down: { taste: 'heavier and more intense', against: 'less water leaves the yield nearly where it was' },
  },
  kettle: {
    up: {
      taste: 'stronger flavours',
      against: 'temperature matters little once strength and yield are the same (published sensory work)',
    },
    down: {
      taste: 'softer flavours',
      against: 'temperature matters little once strength and yield are the same (published sensory work)',
    },
  },
  bloom: {
    up: { taste: 'more even and a little fuller', against: 'a longer bloom lengthens the whole brew' },
    down: { taste: 'a little lighter', against: 'a short bloom may leave dry pockets' },
  },
  pours: {
    up: { taste: 'fuller by longer contact', against: 'more pours leave more to get wrong' },
    down: { taste: 'lighter by shorter contact', against: 'larger pours raise the level and the turbulence' },
  },
  agitation: {
    up: {
      taste: 'more even, sweeter',
      against: 'agitation brings fines to the paper and may dry the finish',
    },
    down: { taste: 'cleaner, calmer', against: 'a bed left still may keep dry pockets' },
  },
};

export const characterOf = ({ lever, from, to }: LeverMove): Character =>
  CHARACTER[lever][to > from ? 'up' : 'down'];
