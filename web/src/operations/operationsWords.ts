import { differenceInHours } from 'date-fns';
import type { OperationsView } from '@vendu/contract';

/** What is looked at before it is a fault (assumed). */
const COPY_HOURS = 48;
const CLOCK_MS = 2000;
const FREE_COPIES = 3;
const FREE_BYTES = 1e9;

const UNITS = ['B', 'kB', 'MB', 'GB', 'TB'] as const;

/** A size as people say it: 12 MB. */
export function sizeWords(bytes: number): string {
  const power = bytes < 1 ? 0 : Math.min(UNITS.length - 1, Math.floor(Math.log10(bytes) / 3));
  const value = bytes / 1000 ** power;
  return `${value.toFixed(value < 10 && power > 0 ? 1 : 0)} ${UNITS[power] ?? 'B'}`;
}

/** Less of a difference is what asking takes on a busy machine, s. */
const ALIKE_S = 1;

/** Seconds, with the side on which they lie. */
export function clockWords(aheadMs: number): string {
  const seconds = Math.abs(aheadMs) / 1000;
  if (seconds < ALIKE_S) return 'alike';
  return `${seconds.toFixed(1)} s ${aheadMs > 0 ? 'ahead' : 'behind'}`;
}

/** What somebody has to see to, each with what to do; nothing where all is in order. */
export function troublesOf(
  { copies, database, schema, requests, webhooks, care, now }: OperationsView,
  browserNow: Date,
): string[] {
  const troubles: string[] = [];
  const here = new Date(now);
  if (database.isFull) {
    troubles.push('The disk of the database is full: pages are shown and nothing is saved. Make room.');
  } else if (database.freeBytes !== null && database.freeBytes < FREE_BYTES) {
    troubles.push(
      `${sizeWords(database.freeBytes)} are free where the database lies: make room before it is full.`,
    );
  }
  if (database.nodes && database.nodes.running < database.nodes.of) {
    troubles.push(
      `The database runs on ${database.nodes.running} of ${database.nodes.of} nodes: look at why the others are away before another goes.`,
    );
  }
  if (copies && !copies.newest) troubles.push('No copy of the database yet: run ./vendu backup.');
  if (copies?.newest && differenceInHours(here, copies.newest.at) >= COPY_HOURS) {
    const days = Math.floor(differenceInHours(here, copies.newest.at) / 24);
    troubles.push(`The newest copy is ${days} days old: look at what makes them, or run ./vendu backup.`);
  }
  if (copies && copies.freeBytes < FREE_COPIES * database.bytes) {
    troubles.push(`${sizeWords(copies.freeBytes)} are free where copies go: make room.`);
  }
  if (Math.abs(database.aheadMs) > CLOCK_MS) {
    troubles.push(
      `The database’s clock is ${clockWords(database.aheadMs)} of the server’s: times of brews and stock depend on both.`,
    );
  }
  const browserAheadMs = browserNow.getTime() - here.getTime();
  if (Math.abs(browserAheadMs) > 10 * CLOCK_MS) {
    troubles.push(`This device’s clock is ${clockWords(browserAheadMs)} of the server’s: set it.`);
  }
  if (schema.pending > 0)
    troubles.push(`${schema.pending} steps of the schema are not taken: start Vendu anew.`);
  if (requests.failed > 0) {
    troubles.push(
      `${requests.failed} of ${requests.answered} requests failed since the start: the log says why, by the number that was shown.`,
    );
  }
  if (webhooks.givenUp > 0) {
    troubles.push(`${webhooks.givenUp} messages to other programs were given up in a week: see In and out.`);
  }
  if (care.isFaulty) troubles.push('What the server sees to by itself failed: the log says why.');
  return troubles;
}
