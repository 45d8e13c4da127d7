import { createHash } from 'node:crypto';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

/** The checkout. */
export const ROOT = join(dirname(fileURLToPath(import.meta.url)), '..', '..');

/** Each way of running has a database and files of its own, so that tests run beside the demo. */
export type Profile = 'demo' | 'dev' | 'test' | 'kill';

export interface ProfilePaths {
  folder: string;
  dataFolder: string;
  socket: string;
  databasePid: string;
  databaseLog: string;
  serverLog: string;
  secrets: string;
  running: string;
}

/** Unix sockets have room for about 107 characters of path; a little less is safe everywhere. */
const LONGEST_SOCKET_PATH = 100;

export function profilePaths(profile: Profile, root = ROOT): ProfilePaths {
  const folder = join(root, '.vendu', profile);
  const socket = join(folder, 'mariadb.sock');
  const short = join(
    tmpdir(),
    `vendu-${createHash('sha256').update(folder).digest('hex').slice(0, 12)}.sock`,
  );
  return {
    folder,
    dataFolder: join(folder, 'data'),
    socket: socket.length > LONGEST_SOCKET_PATH ? short : socket,
    databasePid: join(folder, 'mariadb.pid'),
    databaseLog: join(folder, 'mariadb.log'),
    serverLog: join(folder, 'server.log'),
    secrets: join(folder, 'secrets.json'),
    running: join(folder, 'running.json'),
  };
}
