import { chmodSync, copyFileSync, mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
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

it('the command waits for packages of which none is there yet when it first looks', async () => {
  copyFileSync(join(ROOT, 'vendu'), join(checkout, 'vendu'));
  writeFileSync(join(checkout, 'package-lock.json'), '{"packages":{}}');
  mkdirSync(join(checkout, 'cli', 'dist'), { recursive: true });
  writeFileSync(join(checkout, 'cli', 'dist', 'main.js'), "console.log('handed over')");
  // Each look at what is there follows a rest; the packages come after the second.
  program('bin/sleep', 'if [ -e first ]; then : > second; else : > first; fi');
  program(
    'bin/npm',
    'until [ -e second ]; do /bin/sleep 0.02; done',
    'mkdir -p node_modules/.bin',
    "printf '#!/bin/sh\\n' > node_modules/.bin/tsc",
    'chmod +x node_modules/.bin/tsc',
  );
  const { stdout } = await execa(join(checkout, 'vendu'), [], {
    env: { PATH: [join(checkout, 'bin'), process.env['PATH']].join(delimiter) },
  });
  expect(stdout).toContain('0 of about 0 packages are there');
  expect(stdout).toContain('handed over');
});
