import { once } from 'node:events';
import { createRequire } from 'node:module';
import { setTimeout as sleep } from 'node:timers/promises';
import { Injectable, type OnModuleDestroy } from '@nestjs/common';
import { Piscina } from 'piscina';
import type * as paper from '@vendu/card/paper';

type Drawings = Pick<
  typeof paper,
  | 'bagLabelPdf'
  | 'benchSheetPdf'
  | 'blindLabelsPdf'
  | 'cardPdf'
  | 'cupLabelsPdf'
  | 'dossierPdf'
  | 'previewPng'
>;

/** Long past what it takes; one that never comes up is not waited for. */
const LOADED_WITHIN_MS = 10_000;
const PAPER = createRequire(import.meta.url).resolve('@vendu/card/paper');

/** Has papers drawn beside the requests, on a thread that stays: to start one takes longer than most papers do. */
@Injectable()
export class Drawing implements OnModuleDestroy {
  private readonly pool = new Piscina({
    filename: PAPER,
    minThreads: 1,
    maxThreads: 1,
  });
  private readonly isUp = once(this.pool, 'workerCreate');

  /** @param input - plain data: it is copied to the thread and the file back */
  async run<K extends keyof Drawings>(name: K, input: Parameters<Drawings[K]>[0]): Promise<Buffer> {
    return Buffer.from((await this.pool.run(input, { name })) as Uint8Array);
  }

  /** A thread that is ended while it still loads its program takes the process with it: Node aborts in the loader. */
  async onModuleDestroy(): Promise<void> {
    await Promise.race([this.isUp, sleep(LOADED_WITHIN_MS, undefined, { ref: false })]);
    await this.pool.destroy();
  }
}
