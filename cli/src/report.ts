const HEARTBEAT_MS = 8000;

/** Prints one line for a step; while a long one runs, a short line now and then shows that it lives. */
export async function step<T>(label: string, work: () => Promise<T>): Promise<T> {
  console.log(`→ ${label}`);
  const startedMs = Date.now();
  const seconds = () => Math.round((Date.now() - startedMs) / 1000);
  const heartbeat = setInterval(() => console.log(`  … ${seconds()} s`), HEARTBEAT_MS);
  try {
    return await work();
  } finally {
    clearInterval(heartbeat);
  }
}

/** A failure that a person can act on: printed as it is, without a stack. */
export class CommandFailure extends Error {}
