import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { execa } from 'execa';
import { ROOT } from './paths.js';
import { step, CommandFailure } from './report.js';

const CARD_INPUTS = [
  'card/src',
  'card/client',
  'card/theme.css',
  'card/vite.config.ts',
  'core/src',
  'contract/src',
  'package-lock.json',
];
const WEB_INPUTS = [
  'card/src',
  'card/theme.css',
  'web/src',
  'web/public',
  'web/index.html',
  'web/vite.config.ts',
  'core/src',
  'contract/src',
  'package-lock.json',
];
/** Compiles the server side (a no-op when nothing changed) and bundles what browsers run when its sources changed. */
export async function build(): Promise<void> {
  await step('compiling', () => run('tsc', ['-b']));
  await bundleCard();
  await bundle('web', { inputs: WEB_INPUTS, output: 'web/dist/index.html', words: 'the web application' });
}

/** What a customer's page brings along; the server links to it. */
export function bundleCard(): Promise<void> {
  return bundle('card', {
    inputs: CARD_INPUTS,
    output: 'card/dist/client/manifest.json',
    words: 'the page of a card',
  });
}

async function bundle(
  room: string,
  { inputs, output, words }: { inputs: readonly string[]; output: string; words: string },
): Promise<void> {
  const stampPath = join(ROOT, '.vendu', `${room}-build`);
  const stamp = hashOf(inputs);
  const isFresh =
    existsSync(join(ROOT, output)) && existsSync(stampPath) && readFileSync(stampPath, 'utf8') === stamp;
  if (isFresh) return;
  await step(`bundling ${words}`, () => run('vite', ['build', room]));
  mkdirSync(join(ROOT, '.vendu'), { recursive: true });
  writeFileSync(stampPath, stamp);
}

/** Compiles what the measures are made of. */
export async function buildMeasures(): Promise<void> {
  await step('compiling', () => run('tsc', ['-b', 'measures/tsconfig.build.json']));
}

async function run(program: string, args: string[]): Promise<void> {
  const done = await execa(program, args, { cwd: ROOT, preferLocal: true, reject: false, all: true });
  if (done.failed) throw new CommandFailure(`${program} ${args.join(' ')} failed:\n${done.all}`);
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
