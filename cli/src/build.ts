import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { execa } from 'execa';
import { ROOT } from './paths.js';
import { step, Trouble } from './report.js';

const WEB_INPUTS = [
  'web/src',
  'web/public',
  'web/index.html',
  'web/vite.config.ts',
  'core/src',
  'contract/src',
  'package-lock.json',
];
const WEB_STAMP = join(ROOT, '.vendu', 'web-build');

/** Compiles the server side (a no-op when nothing changed) and bundles the web side when its sources changed. */
export async function build(): Promise<void> {
  await step('compiling', () => run('tsc', ['-b']));
  const stamp = hashOf(WEB_INPUTS);
  const isFresh =
    existsSync(join(ROOT, 'web/dist/index.html')) &&
    existsSync(WEB_STAMP) &&
    readFileSync(WEB_STAMP, 'utf8') === stamp;
  if (isFresh) return;
  await step('bundling the web application', () => run('vite', ['build', 'web']));
  mkdirSync(join(ROOT, '.vendu'), { recursive: true });
  writeFileSync(WEB_STAMP, stamp);
}

/** Compiles what the measures are made of. */
export async function buildMeasures(): Promise<void> {
  await step('compiling', () => run('tsc', ['-b', 'measures/tsconfig.build.json']));
}

async function run(program: string, args: string[]): Promise<void> {
  const done = await execa(program, args, { cwd: ROOT, preferLocal: true, reject: false, all: true });
  if (done.failed) throw new Trouble(`${program} ${args.join(' ')} failed:\n${done.all}`);
}

/** One hash over the names and contents of files and folders, relative to the checkout. */
export function hashOf(inputs: readonly string[], root = ROOT): string {
  const hash = createHash('sha256');
  const add = (path: string) => {
    hash.update(path).update(readFileSync(join(root, path)));
  };
  for (const input of inputs) {
    if (statSync(join(root, input)).isFile()) add(input);
    else {
      const files = readdirSync(join(root, input), { recursive: true, withFileTypes: true })
        .filter((entry) => entry.isFile())
        .map((entry) => join(entry.parentPath, entry.name).slice(root.length + 1));
      files.sort().forEach(add);
    }
  }
  return hash.digest('hex');
}
