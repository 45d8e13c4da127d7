import type { Finding } from '../change/findings.js';
import type { OutcomeOf } from '../forecast/outcome.js';
import type { Intensity } from '../vocabulary.js';

/** Who had the idea of a change: the model by its figures, a rule by what was tasted or seen, or somebody at the bench. */
export type ChangeSource = { kind: 'model' } | { kind: 'rule'; id: string } | { kind: 'own' };

/** A figure as it was forecast for the plan before and for the changed one, with the standard deviation of the latter. */
export interface ExpectedFigure {
  from: number;
  to: number;
  sd: number;
}

/** What a change is to do in the cup or on the bed. */
export type Hope =
  /** What was tasted or seen is no longer there. */
  | { kind: 'gone'; finding: Finding }
  | { kind: 'more' | 'less'; attribute: Intensity }
  /** A word that is to turn up in the notes. */
  | { kind: 'brings'; word: string };

/** What a change was to do, written down before it was brewed. */
export interface Expectation {
  source: ChangeSource;
  /** `null` where no forecast stood beside it. */
  figures: Record<OutcomeOf, ExpectedFigure> | null;
  hopes: Hope[];
}

export const HOPE_KINDS = ['gone', 'more', 'less', 'brings'] as const satisfies Hope['kind'][];

/** What an expectation has room for. */
export const EXPECTATION = { mostHopes: 12, longestWord: 40 } as const;
