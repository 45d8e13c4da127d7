import { createHash } from 'node:crypto';
import { createReadStream, existsSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { basename, join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { CommandFailure } from '../report.js';
import type { TableFigures } from './tables.js';

/** What stands beside a backup: what it was once it had been loaded again. */
export interface BackupNote {
  madeAt: string;
  bytes: number;
  sha256: string;
  tables: Record<string, TableFigures>;
}

const ENDING = '.sql.gz';
const noteOf = (file: string) => `${file}.json`;

/** Names sort by time. @param reason - part of the name, as `before-restore`; none for one that somebody asked for */
export function backupName(madeAt: Date, reason = ''): string {
  const moment = madeAt.toISOString().replace(/[-:]|\.\d+/g, '');
  return `vendu-${moment}${reason === '' ? '' : `-${reason}`}${ENDING}`;
}

export function backupPaths(folder: string, name: string): { file: string; note: string } {
  const file = join(folder, name);
  return { file, note: noteOf(file) };
}

/** @throws CommandFailure where the file is not there, has no note beside it, or is not what it was when it was made */
export async function checkedNote(file: string): Promise<BackupNote> {
  if (!existsSync(file)) throw new CommandFailure(`There is no file ${file}.`);
  if (!existsSync(noteOf(file))) {
    throw new CommandFailure(
      `${basename(noteOf(file))} is missing beside it: nothing tells what is in ${basename(file)}.`,
    );
  }
  const note = JSON.parse(readFileSync(noteOf(file), 'utf8')) as BackupNote;
  const sha256 = await sha256Of(file);
  if (sha256 !== note.sha256) {
    throw new CommandFailure(
      `${basename(file)} is not what it was when it was made: its SHA-256 is ${sha256}.`,
    );
  }
  return note;
}

export async function sha256Of(file: string): Promise<string> {
  const hash = createHash('sha256');
  await pipeline(createReadStream(file), hash);
  return hash.digest('hex');
}

/** Lets the newest so many stand. @returns names of those that went */
export function rotate(folder: string, keep: number): string[] {
  const whole = readdirSync(folder).filter((name) => name.startsWith('vendu-') && name.endsWith(ENDING));
  const old = whole.sort().slice(0, -keep);
  for (const name of old) {
    const { file, note } = backupPaths(folder, name);
    rmSync(file);
    rmSync(note, { force: true });
  }
  return old;
}
