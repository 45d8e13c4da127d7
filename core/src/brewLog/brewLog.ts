import type { BrewEntry, EntryId, EntryKind, Happening } from './brewEntry.js';

/** Everything that was told of a brew. What a brew is follows from it, and from nothing beside it. */
export type BrewLog = readonly BrewEntry[];

/** Name of an entry, to look it up by. */
export function entryName({ device, number }: EntryId): string {
  return `${number} ${device}`;
}

/** The log with one thing more, told by a device that knows all of it. */
export function withEntry(log: BrewLog, device: string, happened: Happening & { atMs: number }): BrewLog {
  const number = log.reduce((highest, each) => Math.max(highest, each.number), 0) + 1;
  return [...log, { device, number, ...happened }];
}

/** What several devices told of one brew: each entry once, in the order that all of them agree on. */
export function mergedLogs(...logs: readonly BrewLog[]): BrewLog {
  const byName = new Map(logs.flat().map((entry) => [entryName(entry), entry]));
  return [...byName.values()].sort((a, b) => a.number - b.number || (a.device < b.device ? -1 : 1));
}

/** The entries that stand: not undone, or undone by an entry that was itself undone. Needs a log in order. */
export function standing(log: BrewLog): BrewLog {
  const undone = new Set<string>();
  // From the last to the first, since an undoing is always later than what it undoes.
  return log
    .toReversed()
    .filter((entry) => {
      if (undone.has(entryName(entry))) return false;
      if (entry.kind === 'undone') undone.add(entryName(entry.of));
      return true;
    })
    .reverse();
}

/** What a hand marked, and may take back by one key. */
const BY_HAND: readonly EntryKind[] = ['marked', 'cup-changed', 'agitated', 'bed-seen'];

/** What the undo key takes back: the last thing marked that still stands; `null` where there is none. */
export function lastToUndo(log: BrewLog): EntryId | null {
  const last = standing(log).findLast(({ kind }) => BY_HAND.includes(kind));
  return last ? { device: last.device, number: last.number } : null;
}
