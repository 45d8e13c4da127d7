import { createRequire } from 'node:module';
import { setTimeout as sleep } from 'node:timers/promises';
import { Injectable, type OnModuleDestroy } from '@nestjs/common';
import { Piscina } from 'piscina';
import type { calibrateLot, cardModel, fittedStart, forgiveness } from '@vendu/core';
import { ProblemError } from '../problem/problem-error.js';
import { LoadingThreads } from './loading-threads.js';

/** Functions of core that take long enough to hold up other requests. */
interface Heavy {
  calibrateLot: typeof calibrateLot;
  cardModel: typeof cardModel;
  fittedStart: typeof fittedStart;
  forgiveness: typeof forgiveness;
}

const CORE = createRequire(import.meta.url).resolve('@vendu/core');
/** A thread that has had nothing to do for so long ends, ms. */
const IDLE_MS = 30_000;
/** No function of core takes so long, ms. */
const CLOSED_WITHIN_MS = 10_000;

/** Runs core's heavy functions on worker threads: each thread loads core itself, so no code is written twice. */
@Injectable()
export class Computation implements OnModuleDestroy {
  private readonly pool = new Piscina({ filename: CORE, minThreads: 0, maxThreads: 2, idleTimeout: IDLE_MS });
  private readonly loading = new LoadingThreads();
  private readonly running = new Set<Promise<unknown>>();
  private isEnding = false;

  /** @param input - plain data: it is copied to the thread and its answer back */
  async run<K extends keyof Heavy>(name: K, input: Parameters<Heavy[K]>[0]): Promise<ReturnType<Heavy[K]>> {
    if (this.isEnding)
      throw new ProblemError('unavailable', 'The server ends just now. Try again in a moment.');
    const answer = this.pool.run(input, { name }) as Promise<ReturnType<Heavy[K]>>;
    this.running.add(answer);
    return answer.finally(() => this.running.delete(answer));
  }

  /** Lets what runs come to its end, and begins nothing more. */
  async onModuleDestroy(): Promise<void> {
    this.isEnding = true;
    await Promise.race([
      Promise.allSettled(this.running),
      sleep(CLOSED_WITHIN_MS, undefined, { ref: false }),
    ]);
    await this.loading.end();
    await this.pool.destroy();
  }
}
