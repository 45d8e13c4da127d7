import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import getPort, { portNumbers } from 'get-port';
import { prepareDatabase, type ApplicationSettings } from '../../src/application.js';
import { recreateSchema } from '../../src/databaseAccounts.js';
import { startDatabase } from '../../src/mariadb.js';
import { profilePaths, type ProfilePaths } from '../../src/paths.js';
import { ensureSecrets, type Secrets } from '../../src/secrets.js';

export interface OwnDatabase {
  settings: ApplicationSettings;
  secrets: Secrets;
  paths: ProfilePaths;
  close: () => Promise<void>;
}

/** A database server of a test's own, with the demo in it, that may be killed. */
export async function ownDatabase(): Promise<OwnDatabase> {
  const folder = mkdtempSync(join(tmpdir(), 'vendu-trust-'));
  // The database runs as a user of its own, who has to get there.
  chmodSync(folder, 0o755);
  const paths = profilePaths('trust', folder);
  const secrets = ensureSecrets(paths.secrets);
  const settings: ApplicationSettings = {
    database: await startDatabase(paths, secrets),
    databaseName: 'vendu_trust',
    secrets,
    port: await portBeforeFree(),
    isDemo: true,
    servesWeb: true,
  };
  await recreateSchema(settings.database, settings.databaseName);
  await prepareDatabase(settings, paths);
  return {
    settings,
    secrets,
    paths,
    close: async () => {
      await settings.database.stop();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}

/** Servers behind a proxy have the two ports after it. */
async function portBeforeFree(): Promise<number> {
  for (;;) {
    const port = await getPort({ port: portNumbers(21_000, 30_000), host: '127.0.0.1' });
    const after = await Promise.all([1, 2].map((by) => getPort({ port: port + by, host: '127.0.0.1' })));
    if (after[0] === port + 1 && after[1] === port + 2) return port;
  }
}
