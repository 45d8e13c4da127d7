import { createRequire } from 'node:module';
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

const PAPER = createRequire(import.meta.url).resolve('@vendu/card/paper');

/** Has papers drawn beside the requests, on a thread that stays: to start one takes longer than most papers do. */
@Injectable()
export class Drawing implements OnModuleDestroy {
  private readonly pool = new Piscina({
    filename: PAPER,
    minThreads: 1,
    maxThreads: 1,
  });

  /** @param input - plain data: it is copied to the thread and the file back */
  async run<K extends keyof Drawings>(name: K, input: Parameters<Drawings[K]>[0]): Promise<Buffer> {
    return Buffer.from((await this.pool.run(input, { name })) as Uint8Array);
  }

  onModuleDestroy(): Promise<void> {
    return this.pool.destroy();
  }
}
