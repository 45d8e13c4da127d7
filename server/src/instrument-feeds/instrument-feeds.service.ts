import { Injectable } from '@nestjs/common';
import { Subject, type Observable } from 'rxjs';
import { parseInstrumentLine, type InstrumentReading } from '@vendu/core';
import { invalidField, notFound } from '../problem/problem-error.js';

/**
 * Passes readings of do-it-yourself instruments on to the benches that listen. Nothing is stored here: what a bench
 * hears it records with its brew. The key of a feed is made by the bench, and is all that an instrument has to know.
 */
@Injectable()
export class InstrumentFeedsService {
  private readonly feeds = new Map<string, Subject<InstrumentReading>>();

  listen(key: string): { readings: Observable<InstrumentReading>; leave: () => void } {
    const feed = this.feeds.get(key) ?? new Subject<InstrumentReading>();
    this.feeds.set(key, feed);
    return {
      readings: feed.asObservable(),
      leave: () => {
        if (!feed.observed) this.feeds.delete(key);
      },
    };
  }

  /**
   * @param text - one line a reading
   * @returns how many readings were passed on
   * @throws ProblemError `not-found` where no bench listens; `invalid-input` naming the line that is no reading
   */
  take(key: string, text: string): number {
    const feed = this.feeds.get(key);
    if (!feed) throw notFound('bench listening to this instrument');
    const readings = text
      .split('\n')
      .map((line, index) => ({ line, index }))
      .filter(({ line }) => line.trim() !== '')
      .map(({ line, index }) => {
        const read = parseInstrumentLine(line);
        if (!read.ok) throw invalidField({ field: `line.${index + 1}`, message: read.message });
        return read.value;
      });
    for (const reading of readings) feed.next(reading);
    return readings.length;
  }
}
