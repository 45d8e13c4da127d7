import { ConnectionError } from 'sequelize';

/**
 * Somebody else holds what was asked for: a deadlock (1213), or a lock waited for too long (1205). A cluster says 1213 too
 * where another node stored something in its way first, and undoes what came second, also when it is to be stored.
 */
const BUSY: readonly number[] = [1205, 1213];
/** What Sequelize says of statements that were under way beside the one that met a deadlock: theirs may be heard first. */
const AFTER_DEADLOCK = /^rollback has been called on this transaction/;
/** It took longer than anybody waits for. */
const TOO_LONG: readonly number[] = [1969];
/** A value that its column cannot hold: out of range, no such word, no such character, no such date, too long. */
const UNSTORABLE: readonly number[] = [1264, 1265, 1366, 1292, 1406, 3140];
/** The disk has no room left: for a table, for a temporary one, for what is written next. */
const FULL: readonly number[] = [1114, 1021, 1026];
/** Where the storage engine says so in its own words. */
const NO_ROOM = /\berrno?r?:? 28\b|No space left on device/i;
/** The server ends or was ended in the middle; a node of a cluster has lost the others, or is still catching up. */
const GONE: readonly number[] = [1053, 1927, 1047];
const GONE_CODES: readonly string[] = ['ECONNREFUSED', 'ECONNRESET', 'EPIPE', 'ENOENT', 'ETIMEDOUT'];

/** What the driver says below what Sequelize makes of it. */
interface DriverError {
  errno?: number;
  code?: string | null;
  message?: string;
  /** The connection is of no more use. */
  fatal?: boolean;
}

export function isBusy(error: unknown): boolean {
  const { errno, message } = driverErrorOf(error);
  return BUSY.includes(errno ?? 0) || AFTER_DEADLOCK.test(message ?? '');
}

export const isTooLong = (error: unknown) => TOO_LONG.includes(driverErrorOf(error).errno ?? 0);

export const isUnstorable = (error: unknown) => UNSTORABLE.includes(driverErrorOf(error).errno ?? 0);

/** There is no room to store anything; what is there can be read. */
export function isFull(error: unknown): boolean {
  const { errno, message } = driverErrorOf(error);
  return FULL.includes(errno ?? 0) || NO_ROOM.test(message ?? '');
}

/** The database does not answer, or went away while it did. */
export function isGone(error: unknown): boolean {
  if (error instanceof ConnectionError) return true;
  const { errno, code, fatal } = driverErrorOf(error);
  return fatal === true || GONE.includes(errno ?? 0) || GONE_CODES.includes(code ?? '');
}

function driverErrorOf(error: unknown): DriverError {
  if (!(error instanceof Error)) return {};
  return 'parent' in error && error.parent instanceof Error ? driverErrorOf(error.parent) : error;
}
