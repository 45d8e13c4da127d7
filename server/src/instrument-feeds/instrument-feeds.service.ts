import { Injectable } from '@nestjs/common';
import { parseInstrumentLine, type InstrumentReading } from '@vendu/core';
import { invalidField, notFound, ProblemError } from '../problem/problem-error.js';
import { LiveStreams } from '../session/live-streams.js';
import type { FeedStream } from './feed-stream.js';
import { LineAllowance } from './line-allowance.js';

const MOST_LINES = 100;
/** A bench, the form of its readings, and each on another screen. */
const MOST_LISTENERS = 4;
const MOST_STREAMS_OF_SESSION = 12;
const MOST_STREAMS = 200;

interface Feed {
  listeners: Set<FeedStream>;
  allowance: LineAllowance;
}

/**
 * Passes readings of do-it-yourself instruments on to the benches that listen. Nothing is stored here: what a bench
 * hears it records with its brew. The key of a feed is made by the bench as its secret, and is all that an instrument has
 * to know; how much can come in by it and go out is limited on every side.
 */
@Injectable()
export class InstrumentFeedsService {
  private readonly feeds = new Map<string, Feed>();

  constructor(private readonly streams: LiveStreams) {}

  /** @throws ProblemError `too-many-requests` where there are listeners enough */
  refuseFull(key: string, sessionId: string): void {
    const isFull =
      (this.feeds.get(key)?.listeners.size ?? 0) >= MOST_LISTENERS ||
      this.streams.countOf(sessionId) >= MOST_STREAMS_OF_SESSION ||
      this.streams.count >= MOST_STREAMS;
    if (isFull) {
      throw new ProblemError(
        'too-many-requests',
        'Too many screens are listening to instruments; close one of them.',
      );
    }
  }

  /** @returns a function to call when the bench listens no longer */
  listen(key: string, stream: FeedStream, sessionId: string): () => void {
    const feed = this.feeds.get(key) ?? { listeners: new Set(), allowance: new LineAllowance(Date.now()) };
    this.feeds.set(key, feed);
    feed.listeners.add(stream);
    const forget = this.streams.add({
      sessionId,
      beat: () => stream.beat(),
      end: () => stream.end(),
    });
    return () => {
      forget();
      feed.listeners.delete(stream);
      if (feed.listeners.size === 0) this.feeds.delete(key);
    };
  }

  /**
   * @param text - one line a reading
   * @returns how many readings were passed on
   * @throws ProblemError `not-found` where no bench listens; `too-large` or `too-many-requests` where there are more
   *   lines than any instrument needs; `invalid-input` naming the line that is no reading
   */
  take(key: string, text: string): number {
    const feed = this.feeds.get(key);
    if (!feed) throw notFound('bench listening to this instrument');
    const lines = text
      .split('\n', MOST_LINES + 2)
      .map((line, index) => ({ line, number: index + 1 }))
      .filter(({ line }) => line.trim() !== '');
    if (lines.length > MOST_LINES) {
      throw new ProblemError('too-large', `At most ${MOST_LINES} lines in one request.`);
    }
    if (!feed.allowance.take(lines.length, Date.now())) {
      throw new ProblemError('too-many-requests', 'Ten lines a second are enough; these are too many.');
    }
    const readings = lines.map(({ line, number }) => readLine(line, number));
    for (const reading of readings) for (const listener of feed.listeners) listener.send(reading);
    return readings.length;
  }
}

function readLine(line: string, number: number): InstrumentReading {
  const read = parseInstrumentLine(line);
  if (!read.ok) throw invalidField({ field: `line.${number}`, message: read.message });
  return read.value;
}
