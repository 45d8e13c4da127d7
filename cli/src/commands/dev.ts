import { execa } from 'execa';
import getPort, { portNumbers } from 'get-port';
import { environmentOf, prepareDatabase, type ApplicationSettings } from '../application.js';
import { atEnd } from '../cleanup.js';
import { bundleCard } from '../build.js';
import { ensureDebianPackages, MARIADB } from '../debian.js';
import { ensureSchema } from '../databaseAccounts.js';
import { startDatabase } from '../mariadb.js';
import { profilePaths, ROOT } from '../paths.js';
import { step } from '../report.js';
import { ensureSecrets } from '../secrets.js';

/** Watch mode: the compiler, the server and the web application all follow the sources. */
export async function dev({ port }: { port: number }): Promise<void> {
  const paths = profilePaths('dev');
  await ensureDebianPackages([MARIADB]);
  const secrets = ensureSecrets(paths.secrets);
  const local = { cwd: ROOT, preferLocal: true, stdio: 'inherit', reject: false } as const;
  await step('compiling', () => execa('tsc', ['-b'], local));
  await bundleCard();
  const database = await step('starting MariaDB', () => startDatabase(paths, secrets));
  atEnd(database.stop);
  await ensureSchema(database, 'vendu');
  const apiPort = await getPort({ port: portNumbers(port + 1, port + 50), host: '127.0.0.1' });
  const settings: ApplicationSettings = {
    database,
    databaseName: 'vendu',
    secrets,
    port: apiPort,
    isDemo: true,
    servesWeb: false,
  };
  await prepareDatabase(settings, paths);
  const env = environmentOf(settings);
  const watchers = [
    execa('tsc', ['-b', '--watch', '--preserveWatchOutput'], local),
    execa('node', ['--watch-path=server/dist', '--watch-path=core/dist', 'server/dist/main.js'], {
      ...local,
      env,
    }),
    execa('vite', ['web', '--port', String(port), '--strictPort'], {
      ...local,
      env: { VENDU_API_PORT: String(apiPort) },
    }),
  ];
  for (const watcher of watchers) {
    atEnd(() => {
      watcher.kill('SIGTERM');
      return watcher;
    });
  }
  console.log(`\nVendu follows the sources at http://127.0.0.1:${port}. Ctrl-C stops it.`);
  await Promise.all(watchers);
}
