import { EventEmitter } from 'node:events';
import type { Response } from 'express';
import { describe, expect, it } from 'vitest';
import { FeedStream } from './feed-stream.js';

/** A bench that takes what is written until it is full. */
class Bench extends EventEmitter {
  readonly heard: string[] = [];
  isFull = false;
  writeHead() {}
  flushHeaders() {}
  write(text: string): boolean {
    this.heard.push(text.trim());
    return !this.isFull;
  }
  end() {}
}

describe('readings on their way to a bench', () => {
  it('go out as they come', () => {
    const bench = new Bench();
    const stream = new FeedStream(bench as unknown as Response);
    stream.send({ massG: 1 });
    stream.send({ massG: 2, batteryPercent: 60 });
    expect(bench.heard).toEqual(['data: {"massG":1}', 'data: {"massG":2,"batteryPercent":60}']);
  });

  it('are not heaped up for one that takes them slower: it gets the newest of each kind', () => {
    const bench = new Bench();
    const stream = new FeedStream(bench as unknown as Response);
    bench.isFull = true;
    for (let massG = 1; massG <= 1000; massG++) stream.send({ massG });
    stream.send({ kettleC: 93 });
    stream.beat();
    expect(bench.heard).toEqual(['data: {"massG":1}']);
    bench.isFull = false;
    bench.emit('drain');
    expect(bench.heard).toEqual(['data: {"massG":1}', 'data: {"massG":1000,"kettleC":93}']);
    stream.beat();
    expect(bench.heard.at(-1)).toBe(':');
  });
});
