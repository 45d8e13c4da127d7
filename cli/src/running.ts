import { existsSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { setTimeout as sleep } from 'node:timers/promises';
import type { ProfilePaths } from './paths.js';

/** Which process runs a profile, and where it serves. */
export interface Running {
  pid: number;
  url: string;
}

const STOP_TIMEOUT_MS = 40_000;

export function noteRunning({ running }: ProfilePaths, url: string): void {
  writeFileSync(running, JSON.stringify({ pid: process.pid, url } satisfies Running));
}

export function forgetRunning({ running }: ProfilePaths): void {
  rmSync(running, { force: true });
}

/** The live run of a profile; a note left by a killed one counts as none. */
export function findRunning({ running }: ProfilePaths): Running | null {
  if (!existsSync(running)) return null;
  const note = JSON.parse(readFileSync(running, 'utf8')) as Running;
  return isAlive(note.pid) ? note : null;
}

/** Asks a run to end and waits until it has cleaned up. */
export async function endRunning(paths: ProfilePaths): Promise<boolean> {
  const found = findRunning(paths);
  if (found === null) return false;
  process.kill(found.pid, 'SIGTERM');
  const deadlineMs = Date.now() + STOP_TIMEOUT_MS;
  while (isAlive(found.pid) && Date.now() < deadlineMs) await sleep(100);
  return true;
}

/** Alive, and one of ours: process numbers are used again. */
function isAlive(pid: number): boolean {
  try {
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes('cli/dist/main.js');
  } catch {
    return false;
  }
}
