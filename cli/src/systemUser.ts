import { readFileSync } from 'node:fs';
import { userInfo } from 'node:os';
import { CommandFailure } from './report.js';

export interface SystemUser {
  name: string;
  uid: number;
  gid: number;
}

/** The system user that Debian's package makes for the database. */
const DATABASE_USER = 'mysql';

/** Whom the database runs as: whoever starts it, but never root. */
export function databaseUser(): SystemUser {
  const { username, uid, gid } = userInfo();
  return uid === 0 ? systemUser(DATABASE_USER) : { name: username, uid, gid };
}

/** @throws CommandFailure where the system has no such user */
export function systemUser(name: string): SystemUser {
  const line = readFileSync('/etc/passwd', 'utf8')
    .split('\n')
    .find((each) => each.startsWith(`${name}:`));
  const [, , uid, gid] = line?.split(':') ?? [];
  if (uid === undefined || gid === undefined) {
    throw new CommandFailure(
      `There is no system user “${name}”, whom the database runs as. Start Vendu as another user than root.`,
    );
  }
  return { name, uid: Number(uid), gid: Number(gid) };
}
