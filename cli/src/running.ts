import { linkSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { setTimeout as sleep } from 'node:timers/promises';
import type { ProfilePaths } from './paths.js';

/** Which process runs a profile, and where it serves. */
export interface Running {
  pid: number;
  url: string;
  /** Programs that it started and that outlive a killed `./vendu`. */
  programs: readonly Program[];
}

export interface Program {
  pid: number;
  /** By which it is told from another that was given its number since. */
  file: string;
}

const STOP_TIMEOUT_MS = 40_000;

/**
 * Takes a profile for this process: of two that start at the same moment one is told that the other was first.
 *
 * @returns `null` once it is ours, else the run that has it
 */
export function claim(paths: ProfilePaths, note: Omit<Running, 'pid'>): Running | null {
  mkdirSync(paths.folder, { recursive: true });
  // Written first and then given its name, so that nobody reads half of it.
  const draft = `${paths.running}.${process.pid}`;
  writeFileSync(draft, JSON.stringify({ pid: process.pid, ...note } satisfies Running));
  try {
    return claimWith(draft, paths);
  } finally {
    rmSync(draft, { force: true });
  }
}

function claimWith(draft: string, paths: ProfilePaths): Running | null {
  for (;;) {
    try {
      linkSync(draft, paths.running);
      return null;
    } catch (error) {
      if (!(error instanceof Error && 'code' in error && error.code === 'EEXIST')) throw error;
      const other = findRunning(paths);
      if (other) return other;
      // A killed run left it.
      forgetRunning(paths);
    }
  }
}

/** Adds to what this process has noted of itself. */
export function noteRunning({ running }: ProfilePaths, note: Omit<Running, 'pid'>): void {
  writeFileSync(running, JSON.stringify({ pid: process.pid, ...note } satisfies Running));
}

export function forgetRunning({ running }: ProfilePaths): void {
  rmSync(running, { force: true });
}

/** The live run of a profile; a note left by a killed one counts as none. */
export function findRunning({ running }: ProfilePaths): Running | null {
  const note = readNote(running);
  return note && isAlive(note.pid, 'cli/dist/main.js') ? note : null;
}

/** Asks a run to end and waits until it has cleaned up. */
export async function endRunning(paths: ProfilePaths): Promise<boolean> {
  const found = findRunning(paths);
  if (found === null) return false;
  process.kill(found.pid, 'SIGTERM');
  const deadlineMs = Date.now() + STOP_TIMEOUT_MS;
  while (isAlive(found.pid, 'cli/dist/main.js') && Date.now() < deadlineMs) await sleep(100);
  return true;
}

/** Ends what a run that was killed could not end itself. */
export async function endOrphans({ running }: ProfilePaths): Promise<boolean> {
  const orphans = (readNote(running)?.programs ?? []).filter(({ pid, file }) => isAlive(pid, file));
  for (const { pid } of orphans) process.kill(pid, 'SIGTERM');
  const deadlineMs = Date.now() + STOP_TIMEOUT_MS;
  while (orphans.some(({ pid, file }) => isAlive(pid, file)) && Date.now() < deadlineMs) await sleep(100);
  return orphans.length > 0;
}

/** A note that was cut off in the middle is none. */
function readNote(running: string): Running | null {
  try {
    return { programs: [], ...(JSON.parse(readFileSync(running, 'utf8')) as Omit<Running, 'programs'>) };
  } catch {
    return null;
  }
}

/** Alive, and the program we mean: process numbers are used again. */
function isAlive(pid: number, program: string): boolean {
  try {
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes(program);
  } catch {
    return false;
  }
}
