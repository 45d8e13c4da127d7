import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { databaseHome, socketOf } from './databaseHome.js';

/** The checkout. */
export const ROOT = join(dirname(fileURLToPath(import.meta.url)), '..', '..');

/** A file as it was named on the command line, which may have been typed elsewhere than here. */
export function asTyped(file: string, typedIn = process.env['VENDU_TYPED_IN'] ?? process.cwd()): string {
  return resolve(typedIn, file);
}

/** Each way of running has a database and files of its own, so that tests run beside the demo. */
export type Profile = 'demo' | 'lab' | 'cluster' | 'dev' | 'test' | 'kill' | 'trust' | 'full';

export interface ProfilePaths {
  /** Nobody misses its data after the machine went down: it need not wait for the disk. */
  isThrownAway: boolean;
  folder: string;
  /** Where data and files of the database are: the folder above, or elsewhere where that cannot be. */
  home: string;
  dataFolder: string;
  /** Socket, log and temporary files of the database; its own system user's, closed to all others. */
  databaseFolder: string;
  socket: string;
  databaseLog: string;
  serverLog: string;
  /** Copies of the database, made before an upgrade changes it. */
  dumps: string;
  /** Copies that somebody asked for. */
  backups: string;
  secrets: string;
  running: string;
}

export function profilePaths(profile: Profile, root = ROOT): ProfilePaths {
  return pathsIn(join(root, '.vendu', profile), profile === 'test');
}

/** Where things are of a database, and of what serves from it, that has this folder to itself. */
export function pathsIn(folder: string, isThrownAway = false): ProfilePaths {
  const home = databaseHome(folder);
  const databaseFolder = join(home, 'database');
  return {
    isThrownAway,
    folder,
    home,
    dataFolder: join(home, 'data'),
    databaseFolder,
    socket: socketOf(home),
    databaseLog: join(databaseFolder, 'mariadb.log'),
    serverLog: join(folder, 'server.log'),
    dumps: join(folder, 'dumps'),
    backups: join(folder, 'backups'),
    secrets: join(folder, 'secrets.json'),
    running: join(folder, 'running.json'),
  };
}
