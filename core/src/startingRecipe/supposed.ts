import { mayHaveBase } from '../lot/process.js';
import type { StartingFacts } from './facts.js';

/** A fact that nobody told, and what is done without it: no rule speaks on a guess unseen. */
export interface Supposed {
  fact: 'process' | 'base process' | 'elevation' | 'roast level' | 'roast age' | 'brewer' | 'paper';
  /** Completes "not known: ...". */
  instead: string;
}

/** What a starting recipe has to suppose, the most telling first; empty where all of it was told. */
export function supposedFacts(facts: StartingFacts): Supposed[] {
  const { process, baseProcess = null, elevation, roastLevel, isRoasted = true, paperPerM, brewer } = facts;
  const isBaseOpen = baseProcess === null && mayHaveBase(process) && process !== 'decaffeinated';
  return [
    ...(process === 'not-known'
      ? [{ fact: 'process', instead: 'no rule of a process speaks' } as const]
      : []),
    ...(isBaseOpen
      ? [{ fact: 'base process', instead: 'nothing is taken of washed, honey or natural' } as const]
      : []),
    ...(elevation === null
      ? [{ fact: 'elevation', instead: 'neither high nor low is taken; the figure says what is' } as const]
      : []),
    ...(roastLevel === null
      ? [{ fact: 'roast level', instead: 'no rule of the roast speaks' } as const]
      : []),
    ...(isRoasted
      ? []
      : [
          {
            fact: 'roast age',
            instead: `taken as rested, ${facts.roastAgeDays} days: no rule of age speaks`,
          } as const,
        ]),
    ...(brewer.outletCount === undefined
      ? [{ fact: 'brewer', instead: 'its outlets are taken as usual for its kind' } as const]
      : []),
    ...(paperPerM === undefined ? [{ fact: 'paper', instead: 'an ordinary one is taken' } as const] : []),
  ];
}
