import { userInfo } from 'node:os';
import { execa } from 'execa';
import type { ProfilePaths } from '../paths.js';
import { systemUser } from '../systemUser.js';

export interface OtherUserReport {
  tried: number;
  /** What another system user could do. */
  open: string[];
}

/** Tries the database's doors as another system user, who must not get through any. Needs root, who alone may become another. */
export async function tryAsOtherUser({
  socket,
  dataFolder,
  databaseLog,
  secrets,
  serverLog,
}: Pick<
  ProfilePaths,
  'socket' | 'dataFolder' | 'databaseLog' | 'secrets' | 'serverLog'
>): Promise<OtherUserReport | null> {
  if (userInfo().uid !== 0) return null;
  const { uid, gid } = systemUser('nobody');
  const client = (...where: string[]) => [
    'mariadb',
    '--no-defaults',
    '--connect-timeout=3',
    ...where,
    '-e',
    'SELECT 1',
  ];
  const attempts = [
    client(`--socket=${socket}`, '--user=root'),
    client(`--socket=${socket}`, '--user=vendu'),
    ['ls', dataFolder],
    ['cat', databaseLog],
    ['cat', secrets],
    ['cat', serverLog],
  ];
  const open: string[] = [];
  for (const words of attempts) {
    const [program = '', ...args] = words;
    const tried = await execa(program, args, { uid, gid, cwd: '/', reject: false });
    if (!tried.failed) open.push(words.join(' '));
  }
  return { tried: attempts.length, open };
}
