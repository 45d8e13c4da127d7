import { once } from 'node:events';
import type { Worker } from 'node:worker_threads';

/**
 * Threads of this process that were begun and have not said yet that they loaded their program. One that is ended
 * meanwhile takes the process with it (Node 20: `v8::Module::IsGraphAsync must be used on an instantiated module`).
 */
export class LoadingThreads {
  private readonly loading = new Set<Promise<unknown>>();

  constructor() {
    process.on('worker', this.begun);
  }

  /** Comes back when none is left; from then on it watches no more. */
  async end(): Promise<void> {
    while (this.loading.size > 0) await Promise.all(this.loading);
    process.off('worker', this.begun);
  }

  private readonly begun = (thread: Worker): void => {
    const loaded = Promise.race([once(thread, 'message'), once(thread, 'exit')])
      .catch(() => undefined)
      .finally(() => this.loading.delete(loaded));
    this.loading.add(loaded);
  };
}
