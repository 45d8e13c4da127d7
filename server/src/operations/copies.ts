import { readdir, readFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { OperationsView } from '@vendu/contract';
import { freeBytesAt } from './free-space.js';

const COPY = /^vendu-.+\.sql\.gz$/;

/**
 * The copies of a folder. One without its note was never proven, and a note without its copy is of one that never came to
 * be: neither is a copy.
 *
 * @param folder - which need not be there yet
 */
export async function copiesIn(folder: string): Promise<NonNullable<OperationsView['copies']>> {
  const names = await readdir(folder).catch((): string[] => []);
  const proven = names.filter((name) => COPY.test(name) && names.includes(`${name}.json`)).sort();
  const last = proven.at(-1);
  const note =
    last === undefined
      ? null
      : (JSON.parse(await readFile(join(folder, `${last}.json`), 'utf8')) as {
          madeAt: string;
          bytes: number;
        });
  return {
    count: proven.length,
    newest: note && { at: note.madeAt, bytes: note.bytes },
    freeBytes: await freeBytesAt(folder),
  };
}
