import { createRequire } from 'node:module';
import { setTimeout as sleep } from 'node:timers/promises';
import { Injectable, type OnModuleDestroy } from '@nestjs/common';
import { Piscina } from 'piscina';
import type { calibrateLot, cardModel, fittedStart, forgiveness } from '@vendu/core';

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
  private readonly running = new Set<Promise<unknown>>();

  /** @param input - plain data: it is copied to the thread and its answer back */
  run<K extends keyof Heavy>(name: K, input: Parameters<Heavy[K]>[0]): Promise<ReturnType<Heavy[K]>> {
    const answer = this.pool.run(input, { name }) as Promise<ReturnType<Heavy[K]>>;
    this.running.add(answer);
    return answer.finally(() => this.running.delete(answer));
  }

  /** Lets what runs come to its end: a thread ended while it still loads its program takes the process with it. */
  async onModuleDestroy(): Promise<void> {
    await Promise.race([
      Promise.allSettled(this.running),
      sleep(CLOSED_WITHIN_MS, undefined, { ref: false }),
    ]);
    await this.pool.destroy();
  }
}
