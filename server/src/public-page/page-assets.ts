import { existsSync, readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import type { PageAssets } from '@vendu/card/page';

interface Built {
  file: string;
  css?: string[];
  assets?: string[];
}

/** Where the card's own style, type and program were built to; `null` before they were. */
export function cardClientRoot(): string | null {
  const page = createRequire(import.meta.url).resolve('@vendu/card/page');
  const root = join(dirname(page), '..', 'client');
  return existsSync(join(root, 'manifest.json')) ? root : null;
}

/** Of the letters that most cards need; others are fetched where a word has them. */
const USUAL_LETTERS = /-latin-wght/;

/** What a card's page links to. Without a build it is a page of words alone. */
export function pageAssets(): PageAssets {
  const root = cardClientRoot();
  if (root === null) return { scripts: [], styles: [], fonts: [] };
  const manifest = JSON.parse(readFileSync(join(root, 'manifest.json'), 'utf8')) as Record<string, Built>;
  const main = manifest['client/main.ts'];
  if (!main) throw new Error('the card was built without its program');
  const under = (files: readonly string[]) => files.map((file) => `/card/${file}`);
  return {
    scripts: under([main.file]),
    styles: under(main.css ?? []),
    fonts: under((main.assets ?? []).filter((file) => USUAL_LETTERS.test(file))),
  };
}
