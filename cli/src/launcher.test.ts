import {
  chmodSync,
  copyFileSync,
  mkdirSync,
  mkdtempSync,
  readFileSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { delimiter, join } from 'node:path';
import { execa } from 'execa';
import { afterEach, beforeEach, expect, it } from 'vitest';
import { ROOT } from './paths.js';

let checkout: string;
beforeEach(() => {
  checkout = mkdtempSync(join(tmpdir(), 'vendu-launcher-'));
});
afterEach(() => rmSync(checkout, { recursive: true, force: true }));

/** A program of the checkout's own, found before the machine's. */
function program(path: string, ...lines: string[]) {
  const file = join(checkout, path);
  mkdirSync(join(file, '..'), { recursive: true });
  writeFileSync(file, ['#!/bin/sh', ...lines].join('\n'));
  chmodSync(file, 0o755);
}

/** A checkout with nothing to install, whose command hands over once it is installed. */
function bareCheckout() {
  copyFileSync(join(ROOT, 'vendu'), join(checkout, 'vendu'));
  writeFileSync(join(checkout, 'package-lock.json'), '{"packages":{}}');
  mkdirSync(join(checkout, 'cli', 'dist'), { recursive: true });
  writeFileSync(join(checkout, 'cli', 'dist', 'main.js'), "console.log('handed over')");
}

const INSTALLS = [
  'mkdir -p node_modules/.bin',
  "printf '#!/bin/sh\\n' > node_modules/.bin/tsc",
  'chmod +x node_modules/.bin/tsc',
];

const run = () =>
  execa(join(checkout, 'vendu'), [], {
    env: { PATH: [join(checkout, 'bin'), process.env['PATH']].join(delimiter) },
    reject: false,
  });

it('the command waits for packages of which none is there yet when it first looks', async () => {
  bareCheckout();
  // Each look at what is there follows a rest; the packages come after the second.
  program('bin/sleep', 'if [ -e first ]; then : > second; else : > first; fi');
  program('bin/npm', 'until [ -e second ]; do /bin/sleep 0.02; done', ...INSTALLS);
  const { stdout } = await run();
  expect(stdout).toContain('0 of about 0 packages are there');
  expect(stdout).toContain('handed over');
});

it('fetches a newer npm where that of the machine is too old for a package, and tells any other failure', async () => {
  bareCheckout();
  program('bin/sleep', ':');
  program(
    'bin/npm',
    'if [ "$1" = --version ]; then echo 9.2.0; exit; fi',
    'echo "npm ERR! code EBADENGINE"',
    'exit 1',
  );
  program('bin/npx', 'echo "$*" > asked', ...INSTALLS);
  const { stdout } = await run();
  expect(stdout).toContain('npm 9.2.0 is too old for some of them: fetching npm 10');
  expect(stdout).toContain('handed over');
  expect(readFileSync(join(checkout, 'asked'), 'utf8').trim()).toBe('--yes npm@10 ci --no-progress');

  rmSync(join(checkout, 'node_modules'), { recursive: true });
  program('bin/npm', 'echo "npm ERR! network"', 'exit 1');
  const { exitCode, stderr, stdout: said } = await run();
  expect(exitCode).toBe(1);
  expect(stderr).toContain('npm ERR! network');
  expect(stderr).toContain('npm could not install the packages');
  expect(said).not.toContain('handed over');
});
