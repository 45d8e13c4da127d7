import type { Response } from 'express';
import type { InstrumentReading } from '@vendu/core';

/**
 * Readings on their way to one bench, as server-sent events. A bench that takes them slower than they come gets the
 * newest of each kind once it can take more: readings are not heaped up for it.
 */
export class FeedStream {
  private isFull = false;
  private waiting: InstrumentReading | null = null;

  constructor(private readonly response: Response) {
    response.writeHead(200, {
      'Content-Type': 'text/event-stream',
      // Nothing on the way may hold readings back to pack them.
      'Cache-Control': 'no-store, no-transform',
      'X-Accel-Buffering': 'no',
    });
    response.flushHeaders();
    response.on('drain', () => {
      this.isFull = false;
      const { waiting } = this;
      this.waiting = null;
      if (waiting) this.send(waiting);
    });
  }

  send(reading: InstrumentReading): void {
    if (this.isFull) this.waiting = { ...this.waiting, ...reading };
    else this.isFull = !this.response.write(`data: ${JSON.stringify(reading)}\n\n`);
  }

  /** A comment, which no bench sees. */
  beat(): void {
    if (!this.isFull) this.isFull = !this.response.write(':\n\n');
  }

  end(): void {
    this.response.end();
  }
}
