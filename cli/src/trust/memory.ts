import { readFileSync } from 'node:fs';

/** What a process holds, MB. */
export function memoryMb(pid: number | null): number | null {
  if (pid === null) return null;
  const kb = /^VmRSS:\s+(\d+) kB$/m.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1];
  return kb === undefined ? null : Math.round(Number(kb) / 1024);
}
