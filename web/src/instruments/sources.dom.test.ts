import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import {
  calibrateLot,
  conditionsOfPlan,
  simulatedBrewer,
  valueOf,
  type InstrumentReading,
  type ScaleReading,
  type Trace,
} from '@vendu/core';
import { BREW_KIT, PLAN } from '../testing/fixtures';
import { feedAddress, feedSource } from './feedSource';
import { lineCutter } from './lines';
import { hasSerial, serialSource } from './serialSource';
import { simulatedOutflowSource } from './simulatedOutflowSource';
import { simulatedRefractometerSource } from './simulatedRefractometerSource';
import { simulatedScaleSource } from './simulatedScaleSource';
import { simulatedThermometerSource } from './simulatedThermometerSource';
import {
  refractometerOf,
  scaleOf,
  thermometerOf,
  type InstrumentSource,
  type RefractometerReading,
} from './sources';

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
    scaleOf(serialSource()).start(heard);
    await expect.poll(() => heard.readings).toEqual([{ massG: 12.3 }, { massG: 14 }]);
    expect(opened).toEqual([{ baudRate: 115_200 }]);
  });

  it('says what to do where there is none, or where it is refused', async () => {
    vi.stubGlobal('navigator', {});
    const none = listener();
    scaleOf(serialSource()).start(none);
    expect(none.troubles[0]).toContain('by hand');
    vi.stubGlobal('navigator', {
      serial: { requestPort: () => Promise.reject(new Error('No port selected')) },
    });
    const refused = listener();
    scaleOf(serialSource()).start(refused);
    await expect.poll(() => refused.troubles[0]).toContain('Carry on by hand');
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
    const stop = scaleOf(feedSource('key')).start(heard);
    made[0]?.onmessage?.({ data: '{"massG":12.3}' });
    made[0]?.onerror?.();
    stop();
    // Under a secret of the device's own, not under a name that others know.
    expect(made[0]).toMatchObject({ address: feedAddress('key'), isClosed: true });
    expect(feedAddress('key')).toMatch(/\/api\/instrument-feeds\/[0-9a-f-]{36}$/);
    expect(feedAddress('other')).not.toBe(feedAddress('key'));
    expect(heard.readings).toEqual([{ massG: 12.3 }]);
    expect(heard.troubles[0]).toContain('by hand');
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
    const before = { atMs: [Date.now() - 2000, Date.now() - 1000], massG: [0, 40] };
    const source = simulatedScaleSource({ hand: 'steady', bench: 'quiet', seed: 3, before, brewer: null });
    const stop = source.start(heard);
    vi.advanceTimersByTime(1000);
    expect(heard.readings).toHaveLength(10);
    expect(Math.abs((heard.readings.at(-1)?.massG ?? 0) - 40)).toBeLessThan(0.5);
    source.pour?.({ toTotalG: 140, flowGps: 10, kettleC: 94 });
    vi.advanceTimersByTime(15_000);
    expect(Math.abs((heard.readings.at(-1)?.massG ?? 0) - 140)).toBeLessThan(2);
    stop();
    const count = heard.readings.length;
    vi.advanceTimersByTime(1000);
    expect(heard.readings).toHaveLength(count);
  });

  it('dies within a minute when its battery does', () => {
    const heard = listener();
    simulatedScaleSource({ hand: 'usual', bench: 'dying', seed: 3, brewer: null }).start(heard);
    vi.advanceTimersByTime(120_000);
    expect(heard.readings.length).toBeGreaterThan(100);
    expect(heard.readings.length).toBeLessThan(700);
  });

  /** Two pours onto a brewer, the page loaded anew between them where there was a before. */
  function brewed(before?: Trace) {
    const heard = listener();
    const atMs: number[] = [];
    const source = simulatedScaleSource({
      hand: 'steady',
      bench: 'quiet',
      seed: 3,
      ...(before ? { before } : {}),
      brewer: valueOf(
        simulatedBrewer({
          conditions: conditionsOfPlan({ plan: PLAN, kit: BREW_KIT }),
          factors: valueOf(calibrateLot({ brews: [] })).factors,
        }),
      ),
    });
    source.start({
      onReading: (reading) => {
        atMs.push(Date.now());
        heard.onReading(reading);
      },
      onTrouble: heard.onTrouble,
    });
    return { source, trace: () => ({ atMs, massG: heard.readings.map(({ massG }) => massG) }) };
  }

  it('shows its brewer: water stands on the bed, drains, and what goes into the air is off the scale', () => {
    const { source, trace } = brewed();
    expect(source.seen?.()).toMatchObject({ aboveBedG: 0, beverageG: 0 });
    source.pour?.({ toTotalG: 240, flowGps: 10, kettleC: 96 });
    vi.advanceTimersByTime(25_000);
    const standing = source.seen?.();
    expect(standing?.waterMm).toBeGreaterThan((standing?.bedMm ?? 0) + 10);
    const fullG = Math.max(...trace().massG);
    vi.advanceTimersByTime(300_000);
    const drained = source.seen?.();
    expect(drained?.aboveBedG).toBeLessThan(1.5);
    // Creep of the scale, 0.05 g a minute, is not what is missing.
    expect(fullG - (trace().massG.at(-1) ?? 0)).toBeGreaterThan(0.1);
    expect(drained?.evaporatedG).toBeGreaterThan(0.4);
  });

  it('finds its brewer as it was when the page was loaded anew', () => {
    const whole = brewed();
    whole.source.pour?.({ toTotalG: 120, flowGps: 10, kettleC: PLAN.kettleC });
    vi.advanceTimersByTime(20_000);
    const again = brewed(whole.trace());
    vi.advanceTimersByTime(100);
    const [then, now] = [whole.source.seen?.(), again.source.seen?.()];
    expect(Math.abs((now?.aboveBedG ?? 99) - (then?.aboveBedG ?? 0))).toBeLessThan(1.5);
    expect(Math.abs((now?.beverageG ?? 99) - (then?.beverageG ?? 0))).toBeLessThan(1.5);
    expect(Math.abs((again.trace().massG.at(-1) ?? 0) - (whole.trace().massG.at(-1) ?? 9))).toBeLessThan(0.4);
  });
});

describe('instruments on one line', () => {
  /** Sends what it is given, at once. */
  const sending = (...readings: InstrumentReading[]): InstrumentSource<InstrumentReading> => ({
    name: 'on a cable',
    start({ onReading }) {
      for (const reading of readings) onReading(reading);
      return () => undefined;
    },
  });
  const lines = sending(
    { massG: 12 },
    { kettleC: 93.5 },
    { tdsPercent: 1.34, sampleC: 22 },
    { tdsPercent: 1.35 },
    { massG: 14, batteryPercent: 60, kettleC: 93 },
  );
  it('each hear their own figure, and have a name of their own', () => {
    const scale: ScaleReading[] = [];
    const kettle: number[] = [];
    const strength: RefractometerReading[] = [];
    const onTrouble = () => undefined;
    scaleOf(lines).start({ onReading: (each) => scale.push(each), onTrouble });
    thermometerOf(lines).start({ onReading: (each) => kettle.push(each), onTrouble });
    refractometerOf(lines).start({ onReading: (each) => strength.push(each), onTrouble });
    expect(scale).toEqual([{ massG: 12 }, { massG: 14, batteryPercent: 60 }]);
    expect(kettle).toEqual([93.5, 93]);
    expect(strength).toEqual([
      { tdsPercent: 1.34, sampleC: 22, isZero: false },
      { tdsPercent: 1.35, sampleC: null, isZero: false },
    ]);
    expect([scaleOf(lines).name, thermometerOf(lines).name]).toEqual([
      'Scale on a cable',
      'Thermometer on a cable',
    ]);
  });
});

describe('the simulated thermometer and refractometer', () => {
  it('shows the kettle once a second, cooler after it was lifted for long', () => {
    vi.useFakeTimers();
    const source = simulatedThermometerSource({ setC: 94, roomC: 21, seed: 7 });
    const shown: number[] = [];
    const stop = source.start({ onReading: (kettleC) => shown.push(kettleC), onTrouble: () => undefined });
    vi.advanceTimersByTime(5000);
    expect(shown).toHaveLength(5);
    source.lift?.(80);
    vi.advanceTimersByTime(80_000);
    expect(shown.at(-1)).toBeLessThan((shown[0] ?? 0) - 2);
    stop();
    vi.useRealTimers();
  });

  it('reads high by its crept zero until clean water has set it', () => {
    const source = simulatedRefractometerSource(11);
    const read: RefractometerReading[] = [];
    source.start({ onReading: (reading) => read.push(reading), onTrouble: () => undefined });
    const sample = { tdsPercent: 1.3, sampleC: 22 };
    const meanOf = (count: number) => {
      read.length = 0;
      for (let each = 0; each < count; each++) source.put?.(sample);
      return read.reduce((sum, { tdsPercent }) => sum + tdsPercent, 0) / count;
    };
    const before = meanOf(200);
    source.put?.('clean-water');
    expect(read.at(-1)).toMatchObject({ isZero: true, sampleC: null });
    expect(before - meanOf(200)).toBeGreaterThan(0.015);
    expect(meanOf(200)).toBeCloseTo(1.3, 2);
  });
});

describe('a stand-in under the server', () => {
  beforeEach(() => {
    vi.useFakeTimers();
  });
  afterEach(() => {
    vi.useRealTimers();
  });

  it('shows what has run into it, and asks for a simulated brewer where there is none', () => {
    const heard = listener();
    let beverageG: number | null = null;
    const seen = () =>
      beverageG === null
        ? null
        : { beverageG, bedMm: 20, waterMm: 30, aboveBedG: 0, outflowGps: 1, evaporatedG: 0 };
    const stop = simulatedOutflowSource({ seen, seed: 7 }).start(heard);
    vi.advanceTimersByTime(4000);
    expect(heard.readings).toEqual([]);
    expect(heard.troubles).toEqual(['It needs a simulated scale under the brewer too.']);
    beverageG = 41;
    vi.advanceTimersByTime(1000);
    expect(heard.readings).toHaveLength(10);
    for (const { massG } of heard.readings) expect(Math.abs(massG - 41)).toBeLessThan(0.5);
    stop();
  });
});
