import type { Readable } from 'node:stream';
import { open, type Entry, type ZipFile } from 'yauzl';
import { ProblemError } from '../problem/problem-error.js';

/** More files than any lab's: a recipe file for each version, and a table each. */
const MOST_ENTRIES = 200_000;
/** A table is held whole while it is read, characters. */
const LONGEST_TEXT = 400_000_000;

/** The files of a zip, by name. Nothing of it is ever written to a path of its own naming. */
export class ZipEntries {
  private constructor(
    private readonly zip: ZipFile,
    private readonly entries: ReadonlyMap<string, Entry>,
  ) {}

  /** @throws ProblemError `not-readable` where it is no zip */
  static async of(path: string): Promise<ZipEntries> {
    const zip = await new Promise<ZipFile>((resolve, reject) => {
      open(path, { lazyEntries: true, autoClose: false }, (error, opened) =>
        error ? reject(noZip()) : resolve(opened),
      );
    });
    try {
      return new ZipEntries(zip, await listed(zip));
    } catch (error) {
      zip.close();
      throw error;
    }
  }

  has(name: string): boolean {
    return this.entries.has(name);
  }

  /** @throws ProblemError `not-readable` where there is no such file, or it is broken */
  async stream(name: string): Promise<Readable> {
    const entry = this.entries.get(name);
    if (!entry)
      throw new ProblemError('not-readable', `The file has no ${name}: it is not an export of Vendu.`);
    return new Promise((resolve, reject) => {
      this.zip.openReadStream(entry, (error, stream) => (error ? reject(broken(name)) : resolve(stream)));
    });
  }

  /** @throws ProblemError `not-readable` where there is no such file, or it is broken or too long */
  async text(name: string): Promise<string> {
    const parts: Buffer[] = [];
    let length = 0;
    try {
      for await (const part of await this.stream(name)) {
        length += (part as Buffer).length;
        if (length > LONGEST_TEXT) throw new ProblemError('too-large', `${name} is too long to be read.`);
        parts.push(part as Buffer);
      }
    } catch (error) {
      throw error instanceof ProblemError ? error : broken(name);
    }
    return Buffer.concat(parts).toString('utf8');
  }

  close(): void {
    this.zip.close();
  }
}

function listed(zip: ZipFile): Promise<Map<string, Entry>> {
  return new Promise((resolve, reject) => {
    const entries = new Map<string, Entry>();
    zip.on('entry', (entry: Entry) => {
      entries.set(entry.fileName, entry);
      if (entries.size > MOST_ENTRIES)
        return reject(new ProblemError('too-large', 'The zip has too many files.'));
      zip.readEntry();
    });
    zip.on('end', () => resolve(entries));
    zip.on('error', () => reject(noZip()));
    zip.readEntry();
  });
}

const noZip = () =>
  new ProblemError(
    'not-readable',
    'This is no zip that can be read; choose a file that “Export everything” made.',
  );

export const broken = (name: string) =>
  new ProblemError('not-readable', `${name} in the file is broken; export it again.`);
