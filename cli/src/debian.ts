import { existsSync } from 'node:fs';
import { userInfo } from 'node:os';
import { execa } from 'execa';
import { step, CommandFailure } from './report.js';

interface DebianPackage {
  name: string;
  /** Files of which any one shows that the package is there. */
  anyOf: string[];
}

export const MARIADB: DebianPackage = {
  name: 'mariadb-server',
  anyOf: ['/usr/sbin/mariadbd', '/usr/local/sbin/mariadbd', '/usr/libexec/mariadbd'],
};
/** What stands before several servers. */
export const HAPROXY: DebianPackage = {
  name: 'haproxy',
  anyOf: ['/usr/sbin/haproxy', '/usr/local/sbin/haproxy'],
};
/** Comes with Debian's MariaDB; elsewhere it may not. */
export const GALERA: DebianPackage = {
  name: 'galera-4',
  anyOf: ['/usr/lib/galera/libgalera_smm.so'],
};
/** The browser without its windows takes a fifth less time; the whole one does where it is there already. */
export const CHROMIUM: DebianPackage = {
  name: 'chromium-headless-shell',
  anyOf: ['/usr/bin/chromium-headless-shell', '/usr/bin/chromium'],
};

/** Installs what is missing when allowed to, else says which line to run. */
export async function ensureDebianPackages(wanted: readonly DebianPackage[]): Promise<void> {
  const missing = wanted
    .filter(({ anyOf }) => !anyOf.some((file) => existsSync(file)))
    .map(({ name }) => name);
  if (missing.length === 0) return;
  const line = `apt-get update && apt-get install -y ${missing.join(' ')}`;
  const [program, ...prefix] = (await aptCommand()) ?? [];
  if (program === undefined)
    throw new CommandFailure(`Missing: ${missing.join(', ')}. Run as root:\n  ${line}`);
  await step(`installing Debian packages: ${missing.join(', ')}`, async () => {
    const apt = (...words: string[]) =>
      execa(program, [...prefix, ...words], {
        env: { DEBIAN_FRONTEND: 'noninteractive' },
        reject: false,
        all: true,
      });
    const update = await apt('update', '-qq');
    const install = await apt('install', '-y', '-qq', '--no-install-recommends', ...missing);
    if (install.failed)
      throw new CommandFailure(`apt-get failed:\n${update.all}\n${install.all}\nRun as root:\n  ${line}`);
  });
}

/** apt-get with root's rights: as it is for root, behind `sudo -n` where that asks no password, else none. */
async function aptCommand(): Promise<string[] | null> {
  if (userInfo().uid === 0) return ['apt-get'];
  const { failed } = await execa('sudo', ['-n', 'true'], { reject: false });
  return failed ? null : ['sudo', '-n', 'apt-get'];
}
