import type { CupRule } from '../bench/cupChanges.js';
import type { PreparationTask } from '../bench/preparation.js';
import type { ServingTask } from '../bench/serving.js';

/** Which entry is meant: a device, or one of its pages, uses a number once for a brew. */
export interface EntryId {
  device: string;
  /** Higher than that of every entry the device knew of, from 1: order by number keeps cause before effect. */
  number: number;
}

/** What is weighed at the bench, once the pouring is done or before it begins. */
export const WEIGHED_AT_BENCH = ['fines', 'beverage'] as const;

/**
 * One thing that happened to a brew, and nothing that follows from others. Entries are only ever added; what was wrong
 * is undone by another one. A kind never changes its shape: what says a thing otherwise is a new kind, and entries of the
 * old one are brought up by `broughtUp`.
 */
export type Happening =
  | { kind: 'prepared'; task: PreparationTask }
  /** Preparation that was left out on purpose. */
  | { kind: 'left-out'; task: PreparationTask }
  /** What fell through the sieve, or the beverage, g; the last word counts, and `null` takes the figure away. */
  | { kind: 'weighed'; what: (typeof WEIGHED_AT_BENCH)[number]; massG: number | null }
  /**
   * What a refractometer showed of the beverage, % TDS, and how warm the sample was, C, where somebody looked; a reading that
   * is taken back is undone.
   */
  | { kind: 'strength-read'; tdsPercent: number; sampleC: number | null }
  /** A step of the plan was begun, or skipped; the first of them starts the clock. */
  | { kind: 'marked'; stepIndex: number; skipped: boolean; by: 'hand' | 'outflow' | 'table' }
  /** What the scale showed when a pour was in, g; `null` takes a figure away. */
  | { kind: 'total-read'; stepIndex: number; totalG: number | null }
  /** What the kettle was when a pour began, C; by eye where no instrument is named. */
  | { kind: 'kettle-read'; stepIndex: number; kettleC: number; instrument: string; isSimulated: boolean }
  /** Agitation that the plan did not ask for. */
  | { kind: 'agitated'; how: 'swirl' | 'stir' }
  | { kind: 'bed-seen'; shows: boolean }
  | { kind: 'first-drip' }
  | { kind: 'cup-changed'; massG: number | null }
  /** A pour missed its total: later totals move by so much, or stay. */
  | { kind: 'miss-answered'; pourNumber: number; byG: number }
  /** What the plan does with the finished beverage and nobody did. */
  | { kind: 'not-served'; serving: ServingTask }
  | { kind: 'scale-lost'; scale: string }
  | { kind: 'scale-back'; scale: string }
  | { kind: 'cups-planned'; rule: CupRule }
  /** The note as it stands; the last one counts. */
  | { kind: 'noted'; text: string }
  | { kind: 'undone'; of: EntryId };

/** An entry of the log of a brew: which device told it, as which of its entries, and when it happened, Unix time, ms. */
export type BrewEntry = EntryId & { atMs: number } & Happening;

export type EntryKind = Happening['kind'];
