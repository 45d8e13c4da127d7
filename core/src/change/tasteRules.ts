import type { Schools } from '../schools/schools.js';
import type { Finding } from './findings.js';
import type { Lever } from './levers.js';
import type { Situation } from './situation.js';

/** A lever and the way to move it: grind up is coarser, ratio up is more water per dose. */
export interface Push {
  lever: Lever;
  direction: 'up' | 'down';
}

/**
 * From taste and sight to cause: what a finding asks for in a situation, what it speaks against, and why.
 * All of it common practice. The first rule of a finding that applies is the one that speaks.
 */
export interface TasteRule extends ChangeRule {
  finding: Finding;
  applies: (situation: Situation, schools: Schools) => boolean;
  /** What was seen is what the house wants: said, and no fault. */
  isWanted?: boolean;
}

/** Which way to move, and why. */
export interface ChangeRule {
  id: string;
  wants: readonly Push[];
  avoids: readonly Push[];
  /** Completes "because ...". */
  because: string;
}

const FINER: Push = { lever: 'grind', direction: 'down' };
const COARSER: Push = { lever: 'grind', direction: 'up' };
const WIDER: Push = { lever: 'ratio', direction: 'up' };
const TIGHTER: Push = { lever: 'ratio', direction: 'down' };
const HOTTER: Push = { lever: 'kettle', direction: 'up' };
const COOLER: Push = { lever: 'kettle', direction: 'down' };
const LONGER_BLOOM: Push = { lever: 'bloom', direction: 'up' };
const MORE_POURS: Push = { lever: 'pours', direction: 'up' };
const FEWER_POURS: Push = { lever: 'pours', direction: 'down' };
const AGITATE: Push = { lever: 'agitation', direction: 'up' };
const CALMER: Push = { lever: 'agitation', direction: 'down' };

const always = () => true;
const extracted = ({ yield: standing }: Situation) => standing === 'on-aim' || standing === 'high';
const overDone = ({ yield: standing, time }: Situation) =>
  standing === 'high' || (standing !== 'low' && time === 'high');
const underDone = ({ yield: standing, time }: Situation) =>
  standing === 'low' || (standing === 'unknown' && time === 'low');

export const TASTE_RULES: readonly TasteRule[] = [
  {
    id: 'sour-though-extracted',
    finding: 'sour',
    applies: extracted,
    wants: [AGITATE, LONGER_BLOOM],
    avoids: [FINER],
    because:
      'it tastes sour although the yield is there: finer would only add bitterness; look for dry pockets and channels, or a roast that is too fresh',
  },
  {
    id: 'sour',
    finding: 'sour',
    applies: always,
    wants: [FINER, HOTTER],
    avoids: [COARSER, COOLER],
    because: 'sour and sharp usually means under-extracted',
  },
  {
    id: 'watery-though-extracted',
    finding: 'watery',
    applies: extracted,
    wants: [TIGHTER],
    avoids: [FINER],
    because: 'it is weak although the yield is there: use less water per dose, not a finer grind',
  },
  {
    id: 'watery',
    finding: 'watery',
    applies: always,
    wants: [FINER],
    avoids: [COARSER],
    because: 'thin and sweet usually means it drained too fast',
  },
  {
    id: 'bitter-though-low',
    finding: 'bitter',
    applies: ({ yield: standing }) => standing === 'low',
    wants: [CALMER, COOLER],
    avoids: [FINER, HOTTER],
    because:
      'it is bitter although the yield is low: parts of the bed over-extracted and parts under, so calm the bed before touching the grind',
  },
  {
    id: 'bitter',
    finding: 'bitter',
    applies: always,
    wants: [COARSER, COOLER],
    avoids: [FINER, HOTTER],
    because: 'bitterness that covers the fruit usually means over-extracted',
  },
  {
    id: 'dry-over',
    finding: 'dry',
    applies: overDone,
    wants: [COARSER, CALMER],
    avoids: [FINER, AGITATE],
    because:
      'a dry finish with a high yield or a long drain comes from the tail, from fines or from agitation',
  },
  {
    id: 'dry-under',
    finding: 'dry',
    applies: underDone,
    wants: [FINER, AGITATE],
    avoids: [COARSER],
    because:
      'a dry finish with a low yield or a short drain comes from grounds that floated and never extracted: grind finer and wet them better',
  },
  {
    id: 'dry-unclear',
    finding: 'dry',
    applies: always,
    wants: [],
    avoids: [],
    because:
      'dryness has two opposite causes, and time and yield do not tell which: weigh and read the beverage before choosing',
  },
  {
    id: 'muddled',
    finding: 'muddled',
    applies: always,
    wants: [COARSER],
    avoids: [FINER, AGITATE],
    because: 'blurred notes usually mean too fine a grind or a stalled bed',
  },
  {
    id: 'sour-and-bitter',
    finding: 'sour-and-bitter',
    applies: always,
    wants: [AGITATE, LONGER_BLOOM],
    avoids: [FINER, COARSER],
    because:
      'sour and bitter together means uneven: wet the bloom better and level the bed; it is not the grind',
  },
  {
    id: 'boozy',
    finding: 'boozy',
    applies: always,
    wants: [COOLER, FEWER_POURS],
    avoids: [HOTTER, FINER],
    because: 'a fermented lot turns boozy when pushed: cooler and shorter',
  },
  {
    id: 'flat',
    finding: 'flat',
    applies: always,
    wants: [HOTTER, MORE_POURS],
    avoids: [COOLER],
    because: 'flat and without florals: hotter water, more of it late, or a fresher roast',
  },
  {
    id: 'stalled',
    finding: 'stalled',
    applies: always,
    wants: [COARSER, CALMER],
    avoids: [FINER, AGITATE],
    because: 'a stall comes from too fine a grind, fines on the paper or pouring too hard',
  },
  {
    id: 'fast-though-extracted',
    finding: 'drained-fast',
    applies: extracted,
    wants: [TIGHTER],
    avoids: [FINER],
    because: 'it drained fast but extracted well: time alone is no fault, and finer may only muddle it',
  },
  {
    id: 'drained-fast',
    finding: 'drained-fast',
    applies: always,
    wants: [FINER, MORE_POURS],
    avoids: [COARSER],
    because: 'it drained fast and the yield is low: too coarse for this plan',
  },
  {
    id: 'level-high',
    finding: 'level-high',
    applies: always,
    wants: [COARSER],
    avoids: [FINER],
    because: 'water standing high between pours means too fine for this plan',
  },
  {
    id: 'bed-dry-wanted',
    finding: 'bed-dry',
    isWanted: true,
    applies: (_, schools) => schools['pour-when'] === 'when-drained',
    wants: [],
    avoids: [],
    because: 'the house pours when the bed has drained, so a dry bed between pours is what is wanted',
  },
  {
    id: 'bed-dry',
    finding: 'bed-dry',
    applies: always,
    wants: [FINER],
    avoids: [COARSER],
    because: 'a bed that runs dry between pours is too coarse for this plan',
  },
  {
    id: 'bed-cratered-still',
    finding: 'bed-cratered',
    applies: (_, schools) => schools.agitation === 'leave-still',
    wants: [],
    avoids: [],
    because: 'the house leaves the bed alone: a crater needs a spiral pour, which the plan cannot set',
  },
  {
    id: 'bed-cratered',
    finding: 'bed-cratered',
    applies: always,
    wants: [AGITATE],
    avoids: [],
    because: 'a cratered bed or grounds high on the wall need a spiral pour or a final swirl',
  },
];

/** The rule that speaks for each finding. */
export function rulesFor(findings: readonly Finding[], situation: Situation, schools: Schools): TasteRule[] {
  return findings.flatMap((finding) => {
    const rule = TASTE_RULES.find((each) => each.finding === finding && each.applies(situation, schools));
    return rule ? [rule] : [];
  });
}

/** What the figures ask for by themselves: strength is the ratio's where the yield is there already (common practice). */
export function figureRulesFor({ strength, yield: standing }: Situation): ChangeRule[] {
  if (standing !== 'on-aim') return [];
  if (strength === 'high') {
    return [
      {
        id: 'strong-though-extracted',
        wants: [WIDER],
        avoids: [],
        because: 'it is too strong and the yield is there: use more water, not another grind',
      },
    ];
  }
  if (strength === 'low') {
    return [
      {
        id: 'weak-though-extracted',
        wants: [TIGHTER],
        avoids: [],
        because: 'it is too weak and the yield is there: use less water, not another grind',
      },
    ];
  }
  return [];
}
