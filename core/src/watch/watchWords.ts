import type { LikelyCause } from './likelyCause.js';
import type { RecheckReason } from './recheckDue.js';
import type { SharedShift } from './sharedShifts.js';
import type { WatchSignal } from './watchChart.js';
import type { WatchedFigure } from './watchedBrew.js';

export const WATCHED_WORDS: Record<WatchedFigure, string> = {
  strength: 'strength',
  yield: 'yield',
  drain: 'drain time',
  liking: 'liking',
};

export const SIGNAL_WORDS: Record<WatchSignal, string> = {
  'beyond-limit': 'further from the proof than it may be',
  'beyond-3-sigma': 'outside of how it spreads',
  'nine-on-one-side': 'nine in a row on one side',
  'six-in-a-row': 'six in a row the same way',
  'two-of-three-beyond-2-sigma': 'two of three far off on one side',
};

const DAY = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', timeZone: 'UTC' });
/** A calendar date as it is said. */
const said = (date: string) => DAY.format(new Date(date));

/** Why a recheck is due, in a sentence. */
export function recheckWords(reason: RecheckReason): string {
  switch (reason.kind) {
    case 'time':
      return reason.sinceDays === 0
        ? 'Never brewed as published.'
        : `Last brewed ${reason.sinceDays} days ago.`;
    case 'new-batch':
      return `New batch of ${said(reason.roastedOn)}: brew it once before it goes on sale.`;
    case 'older':
      return `The roast is ${reason.ageDays} days old; it was brewed up to ${reason.oldestDays}.`;
    case 'kit':
      return `Another ${reason.what} since: ${reason.from}, now ${reason.to}.`;
  }
}

/** What likely drifted, and the one brew that would tell. */
export function causeWords(cause: LikelyCause): { likely: string; tellsApart: string } {
  switch (cause.kind) {
    case 'grinder':
      return {
        likely: `The grinder, ${cause.grinder}: ${cause.lots} other lots on it moved the same way.`,
        tellsApart:
          'Brew it once on another grinder: right there, it is the grinder; then measure its settings anew.',
      };
    case 'meter':
      return {
        likely: `The refractometer: ${cause.lots} other lots read the same way off, on every grinder, and drained as proven.`,
        tellsApart: 'Zero it, and read one sample on another meter: right there, it is the meter.',
      };
    case 'batch':
      return {
        likely: `The batch of ${said(cause.roastedOn)}: it was proven with that of ${said(cause.before)}.`,
        tellsApart: `Brew it once with what is left of ${said(cause.before)}: right there, it is the batch.`,
      };
    case 'age':
      return {
        likely: `The age of the roast: ${cause.ageDays} days, proven up to ${cause.provenToDays}.`,
        tellsApart: 'Brew it once with a fresher batch: right there, it is the age.',
      };
    case 'water':
      return {
        likely: `The water: ${cause.to}, proven with ${cause.from}.`,
        tellsApart: `Brew it once with ${cause.from}: right there, it is the water.`,
      };
    case 'hand':
      return {
        likely: `The hand: ${cause.by} made none of its proof.`,
        tellsApart: 'Have one of those who proved it brew it once more.',
      };
    case 'unknown':
      return {
        likely: 'Nothing that is written down changed.',
        tellsApart: 'Brew it once more as it is: off again the same way, it is no chance.',
      };
  }
}

/** A way that lots moved together, in a sentence. */
export function sharedWords({ grinder, lots, byStrengthSd }: SharedShift): string {
  if (grinder === null) {
    const read = byStrengthSd < 0 ? 'weaker' : 'stronger';
    return `The refractometer: ${lots} lots, on every grinder, read ${read} than proven while they drained as proven. Zero it, and read one sample on another meter, before a recipe or a grinder is changed.`;
  }
  const way = byStrengthSd < 0 ? 'weaker, as if it ground coarser' : 'stronger, as if it ground finer';
  return `${grinder}: ${lots} lots on it came out ${way} than proven. Measure its settings anew before a recipe is changed.`;
}
