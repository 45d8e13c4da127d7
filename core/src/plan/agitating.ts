import type { Agitating, Agitation, AgitationCondition, ModelledAgitation } from '../vocabulary.js';
import type { AgitationHow, Pour } from './plan.js';

const NAMES: Record<Agitating, { one: string; many: string }> = {
  swirl: { one: 'swirl', many: 'swirls' },
  stir: { one: 'stir', many: 'stirs' },
  'wall-stir': { one: 'stir along the wall', many: 'stirs along the wall' },
  needle: { one: 'needle', many: 'pricks with the needles' },
};

const CONDITION_WORDS: Record<AgitationCondition, string> = {
  'cup-asks': 'if the cup asks for it',
  'roast-old': 'if the roast is old',
  'bed-uneven': 'if the bed is uneven',
};

/** When an agitation that is left open is done, in the trade's words; `null` where it is always done. */
export function conditionWords({ onlyIf }: AgitationHow): string | null {
  return onlyIf === undefined ? null : CONDITION_WORDS[onlyIf];
}

/** What is done to the bed after a pour, in the trade's words; `null` where nothing is. */
export function agitationWords({ agitation, agitationHow = {} }: Agitated): string | null {
  if (agitation === 'none') return null;
  const { times, isHard = false } = agitationHow;
  const name = NAMES[agitation];
  return [
    ...(times === undefined ? [] : [String(times)]),
    ...(isHard ? ['hard'] : []),
    times === undefined || times === 1 ? name.one : name.many,
    ...(agitationHow.onlyIf === undefined ? [] : [CONDITION_WORDS[agitationHow.onlyIf]]),
  ].join(' ');
}

type Agitated = Pick<Pour, 'agitation' | 'agitationHow'>;

/** A pour with another agitation; how it was done goes with what is no longer done. */
export function withAgitation<P extends Agitated>(pour: P, agitation: Agitation): P {
  const { agitationHow: how, ...plain } = pour;
  const kept = agitation === 'none' || how === undefined ? {} : { agitationHow: how };
  return { ...plain, ...kept, agitation } as P;
}

/** A pour whose agitation is done, whatever it was to wait for. */
export function asDone<P extends Agitated>(pour: P): P {
  const { agitationHow, ...plain } = pour;
  if (agitationHow?.onlyIf === undefined) return pour;
  const { onlyIf: _, ...how } = agitationHow;
  return { ...plain, agitationHow: how } as P;
}

/** Done whatever happens; what is left open is not counted on. */
export function isAlwaysAgitated<P extends Agitated>(pour: P): pour is P & { agitation: Agitating } {
  return pour.agitation !== 'none' && pour.agitationHow?.onlyIf === undefined;
}

/**
 * What the brew model knows of an agitation. A stir along the wall is taken as a swirl: it moves less of the bed than a
 * stir through it (assumed). Count and force are not felt.
 */
export function modelledAgitation(how: Agitating): ModelledAgitation {
  return how === 'wall-stir' ? 'swirl' : how;
}
