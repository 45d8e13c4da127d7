// @vitest-environment jsdom
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { ScaleReading } from '@vendu/core';
import { feedScaleSource } from './feedScaleSource';
import { lineCutter } from './lines';
import { hasSerial, serialScaleSource } from './serialScaleSource';
import { simulatedScaleSource } from './simulatedScaleSource';

function listener() {
  const readings: ScaleReading[] = [];
  const troubles: string[] = [];
  return {
    readings,
    troubles,
    onReading: (reading: ScaleReading) => readings.push(reading),
    onTrouble: (words: string) => troubles.push(words),
  };
}
afterEach(() => vi.unstubAllGlobals());

describe('lines that come in pieces', () => {
  it('are put together, whatever ends them', () => {
    const lines: string[] = [];
    const take = lineCutter((line) => lines.push(line));
    for (const piece of ['12', '.5\r\n13.', '0\n\n', '{"g":', '14}\r', '99']) take(piece);
    expect(lines).toEqual(['12.5', '13.0', '{"g":14}']);
  });

  it('are let go where no end comes', () => {
    const lines: string[] = [];
    const take = lineCutter((line) => lines.push(line));
    take('x'.repeat(5000));
    take('\n12\n');
    expect(lines).toEqual(['12']);
  });
});

describe('a scale on a cable', () => {
  it('is read line by line, and what is no reading is looked over', async () => {
    const encoder = new TextEncoder();
    const readable = new ReadableStream<Uint8Array>({
      start(controller) {
        for (const text of ['12.', '3\nready\n{"g":14}\n']) controller.enqueue(encoder.encode(text));
        controller.close();
      },
    });
    const opened: object[] = [];
    const port = {
      open: (how: object) => Promise.resolve(void opened.push(how)),
      close: () => Promise.resolve(),
      readable,
    };
    vi.stubGlobal('navigator', { serial: { requestPort: () => Promise.resolve(port) } });
    const heard = listener();
    expect(hasSerial()).toBe(true);
    serialScaleSource().start(heard);
    await expect.poll(() => heard.readings).toEqual([{ massG: 12.3 }, { massG: 14 }]);
    expect(opened).toEqual([{ baudRate: 115_200 }]);
  });

  it('says what to do where there is none, or where it is refused', async () => {
    vi.stubGlobal('navigator', {});
    const none = listener();
    serialScaleSource().start(none);
    expect(none.troubles[0]).toContain('mark by hand');
    vi.stubGlobal('navigator', {
      serial: { requestPort: () => Promise.reject(new Error('No port selected')) },
    });
    const refused = listener();
    serialScaleSource().start(refused);
    await expect.poll(() => refused.troubles[0]).toContain('Go on by marks');
  });
});

describe('a scale over the network', () => {
  it('is what the server passes on for this brew', () => {
    const made: {
      address: string;
      onmessage?: (event: { data: string }) => void;
      onerror?: () => void;
      close: () => void;
    }[] = [];
    vi.stubGlobal(
      'EventSource',
      class {
        onmessage?: (event: { data: string }) => void;
        onerror?: () => void;
        isClosed = false;
        constructor(readonly address: string) {
          made.push(this);
        }
        close() {
          this.isClosed = true;
        }
      },
    );
    const heard = listener();
    const stop = feedScaleSource('key').start(heard);
    made[0]?.onmessage?.({ data: '{"massG":12.3}' });
    made[0]?.onerror?.();
    stop();
    expect(made[0]).toMatchObject({ address: '/api/scale-feeds/key', isClosed: true });
    expect(heard.readings).toEqual([{ massG: 12.3 }]);
    expect(heard.troubles[0]).toContain('go on by marks');
  });
});

describe('the simulated scale', () => {
  beforeEach(() => {
    vi.useFakeTimers();
  });
  afterEach(() => {
    vi.useRealTimers();
  });

  it('shows ten readings a second, pours when told, and goes on from what stood on it', () => {
    const heard = listener();
    const source = simulatedScaleSource({ hand: 'steady', isDying: false, seed: 3, alreadyG: 40 });
    const stop = source.start(heard);
    vi.advanceTimersByTime(1000);
    expect(heard.readings).toHaveLength(10);
    expect(Math.abs((heard.readings.at(-1)?.massG ?? 0) - 40)).toBeLessThan(0.5);
    source.pour?.({ toTotalG: 140, flowGps: 10 });
    vi.advanceTimersByTime(15_000);
    expect(Math.abs((heard.readings.at(-1)?.massG ?? 0) - 140)).toBeLessThan(2);
    stop();
    const count = heard.readings.length;
    vi.advanceTimersByTime(1000);
    expect(heard.readings).toHaveLength(count);
  });

  it('dies within a minute when its battery does', () => {
    const heard = listener();
    simulatedScaleSource({ hand: 'usual', isDying: true, seed: 3 }).start(heard);
    vi.advanceTimersByTime(120_000);
    expect(heard.readings.length).toBeGreaterThan(100);
    expect(heard.readings.length).toBeLessThan(700);
  });
});
