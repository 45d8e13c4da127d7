import { statfs } from 'node:fs/promises';
import { dirname } from 'node:path';

/** Of the disk that a folder is on, or will be once it is made. */
export async function freeBytesAt(folder: string): Promise<number> {
  try {
    const { bavail, bsize } = await statfs(folder);
    return bavail * bsize;
  } catch {
    const above = dirname(folder);
    return above === folder ? 0 : freeBytesAt(above);
  }
}
