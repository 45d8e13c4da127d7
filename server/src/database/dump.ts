import { execFile } from 'node:child_process';
import { mkdirSync, readdirSync, renameSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { promisify } from 'node:util';
import type { Configuration } from '../configuration.js';

/** Older copies make room. */
const KEPT = 5;

/**
 * Copies the whole database into a file, as statements that make it anew. A file under its final name is whole.
 *
 * @param reason - becomes part of the name, as `before-0006-safe-ground`
 * @returns the file
 */
export async function dump(
  { socketPath, host, port, user, password, name }: Configuration['database'],
  folder: string,
  reason: string,
): Promise<string> {
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const moment = new Date().toISOString().replace(/[-:]|\.\d+/g, '');
  const file = join(folder, `${moment}-${reason}.sql`);
  const unfinished = `${file}.part`;
  await promisify(execFile)(
    'mariadb-dump',
    [
      // First, or the system's own settings would apply.
      '--no-defaults',
      ...(socketPath === null ? [`--host=${host}`, `--port=${port}`] : [`--socket=${socketPath}`]),
      `--user=${user}`,
      '--single-transaction',
      '--no-tablespaces',
      '--hex-blob',
      `--result-file=${unfinished}`,
      name,
    ],
    // In the environment, where other people of this machine do not see it.
    { env: { ...process.env, MYSQL_PWD: password } },
  );
  renameSync(unfinished, file);
  const files = readdirSync(folder).filter((each) => each.endsWith('.sql'));
  for (const old of files.sort().slice(0, -KEPT)) rmSync(join(folder, old));
  return file;
}
