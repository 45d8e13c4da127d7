import { mean } from 'simple-statistics';
import type { ProofBrew } from './proofBrew.js';

/** How far cups lie apart. */
export interface Apart {
  strengthPercent: number;
  yieldPoints: number;
  /** `null` where the end of fewer than two was marked. */
  drainS: number | null;
}

/** The two of some measured brews that lie furthest apart, in each figure. */
export function apartOf(brews: readonly ProofBrew[]): Apart {
  return {
    strengthPercent: rangeOf(brews.map(({ tdsPercent }) => tdsPercent)) ?? 0,
    yieldPoints: rangeOf(brews.map(({ yieldPercent }) => yieldPercent)) ?? 0,
    drainS: rangeOf(brews.map(({ drainS }) => drainS)),
  };
}

/** How far one measured brew lies from the middle of others. */
export function fromOthers(brew: ProofBrew, others: readonly ProofBrew[]): Apart {
  const from = (figure: 'tdsPercent' | 'yieldPercent' | 'drainS') => {
    const known = others.flatMap(({ [figure]: value }) => (value === null ? [] : [value]));
    const own = brew[figure];
    return own === null || known.length === 0 ? null : Math.abs(own - mean(known));
  };
  return {
    strengthPercent: from('tdsPercent') ?? 0,
    yieldPoints: from('yieldPercent') ?? 0,
    drainS: from('drainS'),
  };
}

function rangeOf(values: readonly (number | null)[]): number | null {
  const known = values.filter((value) => value !== null);
  return known.length < 2 ? null : Math.max(...known) - Math.min(...known);
}
