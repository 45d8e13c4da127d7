import { createWriteStream } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Transform, type Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { ProblemError } from '../problem/problem-error.js';
import { LabFile } from './lab-file.js';

/** A lab of ten years with every trace has a tenth of it, bytes. */
const LARGEST = 1_000_000_000;

/**
 * Receives a file, lets something be done with it, and forgets it again. It lies in a folder of its own meanwhile: a zip
 * has its list of files at its end, so that it cannot be read as it comes.
 */
export async function withReceived<T>(body: Readable, work: (file: LabFile) => Promise<T>): Promise<T> {
  const folder = await mkdtemp(join(tmpdir(), 'vendu-import-'));
  try {
    const path = join(folder, 'lab.zip');
    await pipeline(body, atMost(LARGEST), createWriteStream(path));
    const file = await LabFile.open(path);
    try {
      return await work(file);
    } finally {
      file.close();
    }
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
}

function atMost(largest: number): Transform {
  let received = 0;
  return new Transform({
    transform(part: Buffer, _encoding, done) {
      received += part.length;
      if (received > largest) done(new ProblemError('too-large', 'The file is larger than any lab’s.'));
      else done(null, part);
    },
  });
}
