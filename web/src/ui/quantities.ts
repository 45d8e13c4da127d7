import {
  cupScheduleWords,
  failure,
  formatDuration,
  formatRatio,
  parseCupSchedule,
  parseDurationS,
  parseMassG,
  parseNumber,
  parseRatio,
  parseTemperatureC,
  parseWithUnit,
  success,
  type CupSchedule,
  type Result,
} from '@vendu/core';

/** How one quantity is written and read: its unit, its hue, the precision its instrument deserves. */
export interface Quantity<V = number> {
  unit: string;
  /** Class of the text colour. */
  hue: string;
  format: (value: V) => string;
  parse: (text: string) => Result<V>;
  /** It is written with spaces: where keys are the clock's, a space in it is typing. */
  isSeveral?: true;
}

function figure(unit: string, hue: string, decimals: number): Quantity {
  const scale = 10 ** decimals;
  return {
    unit,
    hue,
    format: (value) => String(Math.round(value * scale) / scale),
    parse: (text) => parseWithUnit(text, unit),
  };
}

export const GRAMS: Quantity = { ...figure('g', 'text-water', 1), parse: parseMassG };
export const MICROMETRES = figure('µm', 'text-ink', 0);
/** A water analysis or a refractometer shows two decimals. */
export const PERCENT_FINE = figure('%', 'text-strength', 2);
export const GRAMS_FINE: Quantity = { ...figure('g', 'text-water', 2), parse: parseMassG };

/** Resistance of a wet paper, typed in millions a metre: nobody types ten figures. */
export const RESISTANCE: Quantity = {
  unit: 'million/m',
  hue: 'text-ink',
  format: (value) => String(Math.round(value / 1e5) / 10),
  parse: (text) => {
    const millions = parseNumber(text);
    return millions.ok ? success(millions.value * 1e6) : millions;
  },
};

export const PERCENT = figure('%', 'text-ink', 1);
export const MILLIMETRES = figure('mm', 'text-ink', 1);
export const CENTIMETRES = figure('cm', 'text-ink', 0);
export const METRES = figure('m', 'text-ink', 0);
export const MG_PER_L = figure('mg/L', 'text-ink', 1);
export const LITRES = figure('L', 'text-water', 1);
export const SECONDS = figure('s', 'text-time', 0);
export const MINUTES = figure('min', 'text-time', 0);
export const KILOGRAMS = figure('kg', 'text-ink', 1);
export const DAYS = figure('d', 'text-time', 0);
export const COUNT = figure('', 'text-ink', 0);
export const BREWS = figure('brews', 'text-ink', 0);
export const POINTS = figure('points', 'text-yield', 1);
export const DECIMAL = figure('', 'text-ink', 2);
export const FLOW = figure('g/s', 'text-flow', 1);

export const CELSIUS: Quantity = {
  unit: '°C',
  hue: 'text-temperature',
  format: (value) => String(Math.round(value * 10) / 10),
  parse: (text) => parseTemperatureC(text),
};

/** The end of a roast, far above boiling. */
export const ROAST_CELSIUS: Quantity = {
  ...CELSIUS,
  parse: (text) => parseTemperatureC(text, { hottestC: 260 }),
};

export const RATIO: Quantity = { unit: '', hue: 'text-water', format: formatRatio, parse: parseRatio };

export const CLOCK: Quantity = { unit: '', hue: 'text-time', format: formatDuration, parse: parseDurationS };

/** Wraps a quantity so that a figure outside a range is refused with the field's name and the range. */
export function inRange(
  quantity: Quantity,
  { label, min, max }: { label: string; min: number; max: number },
): Quantity {
  const { unit, format } = quantity;
  return {
    ...quantity,
    parse: (text) => {
      const parsed = quantity.parse(text);
      if (!parsed.ok || (parsed.value >= min && parsed.value <= max)) return parsed;
      return failure(
        'out-of-range',
        `${label} must be ${format(min)} to ${format(max)}${unit ? ` ${unit}` : ''}.`,
      );
    },
  };
}

/** A whole number, for fields that count in whole units. */
export function whole(quantity: Quantity): Quantity {
  return {
    ...quantity,
    parse: (text) => {
      const parsed = quantity.parse(text);
      return parsed.ok ? success(Math.round(parsed.value)) : parsed;
    },
  };
}

/** Reads a mass that may be left empty; empty means not known. */
export function parseOptionalMass(text: string): Result<number | null> {
  return text.trim() === '' ? success(null) : parseMassG(text);
}

/** Into which cups a brew runs: evenly, or at moments of one's own. */
export const CUPS: Quantity<CupSchedule> = {
  unit: '',
  hue: 'text-time',
  format: cupScheduleWords,
  parse: parseCupSchedule,
  isSeveral: true,
};
