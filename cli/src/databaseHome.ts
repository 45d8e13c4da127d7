import { createHash } from 'node:crypto';
import { statSync } from 'node:fs';
import { homedir, userInfo } from 'node:os';
import { dirname, join } from 'node:path';

/** Unix sockets have room for about 107 characters of path; a little less is safe everywhere. */
const LONGEST_SOCKET_PATH = 100;
const OTHERS_MAY_ENTER = 0o001;

/**
 * Where the database of a profile lives: in the profile's own folder, unless the system user that it runs as could not
 * enter there (a checkout in root's home) or its socket's path would be too long.
 */
export function databaseHome(folder: string): string {
  const isRoot = userInfo().uid === 0;
  const isShort = socketOf(folder).length <= LONGEST_SOCKET_PATH;
  if (isShort && (!isRoot || othersMayEnter(folder))) return folder;
  const name = createHash('sha256').update(folder).digest('hex').slice(0, 12);
  return join(isRoot ? '/var/lib/vendu' : join(homedir(), '.local', 'share', 'vendu'), name);
}

export function socketOf(home: string): string {
  return join(home, 'database', 'mariadb.sock');
}

/** Folders that are yet to be made are made so that others may enter. */
function othersMayEnter(folder: string): boolean {
  const mode = statSync(folder, { throwIfNoEntry: false })?.mode ?? OTHERS_MAY_ENTER;
  if ((mode & OTHERS_MAY_ENTER) === 0) return false;
  return dirname(folder) === folder || othersMayEnter(dirname(folder));
}
