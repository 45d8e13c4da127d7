import type { ModelledAgitation, BrewerSeen, InstrumentReading, ScaleReading } from '@vendu/core';

export interface InstrumentListener<R> {
  onReading: (reading: R) => void;
  /** The instrument cannot be had, or no longer; the words say why and what to do. */
  onTrouble: (words: string) => void;
}

/** Any instrument of the bench, whatever it is and however it is reached. Manual entry needs none. */
export interface InstrumentSource<R> {
  name: string;
  /** @returns ends the listening */
  start: (listener: InstrumentListener<R>) => () => void;
}

/** What somebody does at a brewer that has to be told to a stand-in. */
interface AskedPour {
  toTotalG: number;
  flowGps: number;
  kettleC: number;
}

export interface ScaleSource extends InstrumentSource<ScaleReading> {
  /** Somebody begins to pour to a total: a stand-in has to be told, a scale is not. */
  pour?: (asked: AskedPour) => void;
  agitate?: (kind: ModelledAgitation) => void;
  /** What there is to see of a stand-in's brewer; `null` where it has none. A real one is looked at. */
  seen?: () => BrewerSeen | null;
}

/** Temperature of the water in the kettle, C. */
export interface ThermometerSource extends InstrumentSource<number> {
  /** The kettle is off its base for so long: a stand-in has to be told. */
  lift?: (forS: number) => void;
}

/** A reading of a cup, or of clean water. */
export interface RefractometerReading {
  tdsPercent: number;
  sampleC: number | null;
  /** Clean water: how far the zero was off before it was set. */
  isZero: boolean;
}

export interface RefractometerSource extends InstrumentSource<RefractometerReading> {
  /** What is put on the prism of a stand-in. */
  put?: (sample: { tdsPercent: number; sampleC: number } | 'clean-water') => void;
}

type LineSource = InstrumentSource<InstrumentReading>;

/** One instrument among those that send lines: what it says of each, or `null` where the line is another's. */
function among<R>(
  lines: LineSource,
  what: string,
  pick: (reading: InstrumentReading) => R | null,
): InstrumentSource<R> {
  return {
    name: `${what} ${lines.name}`,
    start: ({ onReading, onTrouble }) =>
      lines.start({
        onReading: (line) => {
          const reading = pick(line);
          if (reading !== null) onReading(reading);
        },
        onTrouble,
      }),
  };
}

export function scaleOf(lines: LineSource): ScaleSource {
  return among(lines, 'Scale', ({ massG, batteryPercent }) =>
    massG === undefined ? null : { massG, ...(batteryPercent === undefined ? {} : { batteryPercent }) },
  );
}

export function thermometerOf(lines: LineSource): ThermometerSource {
  return among(lines, 'Thermometer', ({ kettleC }) => kettleC ?? null);
}

/** It measures by itself; that a reading was of clean water it does not say. */
export function refractometerOf(lines: LineSource): RefractometerSource {
  return among(lines, 'Refractometer', ({ tdsPercent, sampleC = null }) =>
    tdsPercent === undefined ? null : { tdsPercent, sampleC, isZero: false },
  );
}
