import { closeSync, mkdirSync, openSync, rmSync, writeSync } from 'node:fs';
import { userInfo } from 'node:os';
import { join } from 'node:path';
import { execa } from 'execa';

/** A disk of so many megabytes, in memory, that can be full. */
export interface SmallDisk {
  fill: () => void;
  makeRoom: () => void;
  remove: () => Promise<void>;
}

const BLOCKS = [1 << 20, 1 << 12];

/** @returns `null` where this user or machine cannot have one */
export async function smallDisk(folder: string, megabytes: number): Promise<SmallDisk | null> {
  if (userInfo().uid !== 0) return null;
  mkdirSync(folder, { recursive: true });
  const mounted = await execa('mount', ['-t', 'tmpfs', '-o', `size=${megabytes}m`, 'tmpfs', folder], {
    reject: false,
  });
  if (mounted.failed) return null;
  const ballast = join(folder, 'ballast');
  return {
    fill: () => {
      const file = openSync(ballast, 'w');
      // Large ones as long as they go, then what is left between them.
      for (const bytes of BLOCKS) writeUntilFull(file, Buffer.alloc(bytes));
      closeSync(file);
    },
    makeRoom: () => rmSync(ballast, { force: true }),
    remove: async () => {
      await execa('umount', [folder]);
    },
  };
}

function writeUntilFull(file: number, block: Buffer): void {
  try {
    while (writeSync(file, block) === block.length);
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code !== 'ENOSPC') throw error;
  }
}
