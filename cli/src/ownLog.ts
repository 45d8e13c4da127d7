import { chmodSync, existsSync } from 'node:fs';
import { basename, dirname } from 'node:path';
import { createStream, type RotatingFileStream } from 'rotating-file-stream';

/** A log names who did what: it is for its owner only, one of an older version too. Of it ten megabytes stay, and five before. */
export function ownLog(file: string): RotatingFileStream {
  if (existsSync(file)) chmodSync(file, 0o600);
  return createStream(basename(file), { path: dirname(file), size: '10M', rotate: 5, mode: 0o600 });
}
