import { createReadStream, createWriteStream } from 'node:fs';
import { pipeline } from 'node:stream/promises';
import { createGunzip, createGzip } from 'node:zlib';
import { execa } from 'execa';
import type { Database } from '../database.js';
import { CommandFailure } from '../report.js';

/** Writes a schema into a file, packed, as statements that make it anew; of one moment, while people work in it. */
export async function dumpInto(file: string, database: Database, schema: string): Promise<void> {
  const dumping = execa(
    'mariadb-dump',
    [
      // First, or the system's own settings would apply.
      '--no-defaults',
      `--socket=${database.socket}`,
      `--user=${database.user}`,
      '--single-transaction',
      '--no-tablespaces',
      '--hex-blob',
      schema,
    ],
    // In the environment, where other people of this machine do not see it.
    { env: { MYSQL_PWD: database.password }, buffer: false, stdout: 'pipe', stderr: 'pipe', reject: false },
  );
  const written = pipeline(dumping.stdout, createGzip(), createWriteStream(file, { mode: 0o600 }));
  const done = await dumping;
  await written;
  if (done.failed)
    throw new CommandFailure('mariadb-dump could not copy the database: it is too old, or was stopped.');
}

/** Runs such a file in a schema, which has to be empty. */
export async function loadFrom(file: string, database: Database, schema: string): Promise<void> {
  const loading = execa(
    'mariadb',
    ['--no-defaults', `--socket=${database.socket}`, '--user=root', '--local-infile=0', schema],
    { env: { MYSQL_PWD: database.rootPassword }, stdin: 'pipe', reject: false, all: true },
  );
  const fed = pipeline(createReadStream(file), createGunzip(), loading.stdin).then(
    () => null,
    (error: unknown) => error,
  );
  const done = await loading;
  const cut = await fed;
  if (done.failed || cut !== null) {
    throw new CommandFailure(`The copy could not be loaded again:\n${done.all || String(cut)}`);
  }
}
