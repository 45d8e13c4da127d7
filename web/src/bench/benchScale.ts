import { GAP_MS, type ScaleReading, type Trace } from '@vendu/core';
import type { ScaleSource } from '../instruments/sources';
import { brewNowMs } from '../device/brewClock';
import { noteKeeping } from './deviceKeeping';
import { keepPiece, PIECE } from './traceStore';

type ScaleStatus = 'waiting' | 'reading' | 'silent';

/** What is known of a scale at a moment; a new object at every change. */
export interface ScaleView {
  name: string;
  status: ScaleStatus;
  massG: number | null;
  batteryPercent: number | null;
  /** What stands in the way of reading it; empty where nothing does. */
  trouble: string;
  /** When it was read last, ms of the wall clock; 0 before. */
  readMs: number;
}

const KEPT_EVERY_MS = 1000;

/**
 * The scale of one brew: hears its source, records, and keeps the record on this device. It lives outside the
 * page, so that leaving the bench does not end the recording.
 */
export class BenchScale {
  private readonly atMs: number[] = [];
  private readonly massG: number[] = [];
  private readonly listeners = new Set<() => void>();
  private keptCount = 0;
  private readonly stop: () => void;
  private view: ScaleView;

  constructor(
    private readonly brewKey: string,
    readonly source: ScaleSource,
    /** What was chosen, so that the same choice does not connect twice. */
    readonly choiceKey: string,
    before: Trace,
  ) {
    this.atMs.push(...before.atMs);
    this.massG.push(...before.massG);
    this.keptCount = this.atMs.length;
    this.view = {
      name: source.name,
      status: 'waiting',
      massG: null,
      batteryPercent: null,
      trouble: '',
      readMs: 0,
    };
    const stopSource = source.start({
      onReading: (reading) => this.take(reading),
      onTrouble: (trouble) => this.show({ trouble, status: 'silent' }),
    });
    const timer = setInterval(() => this.watch(), KEPT_EVERY_MS);
    const onHide = () => this.keep();
    addEventListener('pagehide', onHide);
    this.stop = () => {
      stopSource();
      clearInterval(timer);
      removeEventListener('pagehide', onHide);
      this.keep();
    };
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  readonly snapshot = (): ScaleView => this.view;

  /** The readings on a brew clock that began at a moment; before it starts there are none. */
  traceFrom(startMs: number): { atMs: number[]; massG: number[] } {
    const first = this.atMs.findIndex((each) => each >= startMs);
    if (first === -1) return { atMs: [], massG: [] };
    return {
      atMs: this.atMs.slice(first).map((each) => each - startMs),
      massG: this.massG.slice(first),
    };
  }

  disconnect(): void {
    this.stop();
    this.listeners.clear();
  }

  private take({ massG, batteryPercent }: ScaleReading): void {
    const now = brewNowMs();
    // Two readings within a millisecond are one to a clock of milliseconds.
    if (now <= (this.atMs.at(-1) ?? 0)) return;
    this.atMs.push(now);
    this.massG.push(massG);
    // A scale need not tell its charge with every reading.
    const charge = batteryPercent ?? this.view.batteryPercent;
    this.show({ status: 'reading', massG, batteryPercent: charge, trouble: '' });
  }

  private watch(): void {
    const lastMs = this.atMs.at(-1) ?? 0;
    if (this.view.status === 'reading' && brewNowMs() - lastMs > GAP_MS) {
      this.show({ status: 'silent', massG: null });
    }
    this.keep();
  }

  /** Writes the pieces that have grown since the last time. */
  private keep(): void {
    for (let from = Math.floor(this.keptCount / PIECE) * PIECE; from < this.atMs.length; from += PIECE) {
      if (from + PIECE <= this.keptCount) continue;
      const to = from + PIECE;
      void keepPiece(this.brewKey, from / PIECE, {
        atMs: this.atMs.slice(from, to),
        massG: this.massG.slice(from, to),
      }).then((curve) => noteKeeping({ curve }));
    }
    this.keptCount = this.atMs.length;
  }

  private show(changed: Partial<ScaleView>): void {
    this.view = { ...this.view, ...changed, readMs: this.atMs.at(-1) ?? 0 };
    for (const listener of this.listeners) listener();
  }
}
