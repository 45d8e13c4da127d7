/** What the house's own records add up to, one question each. */
export const REPORTS = [
  'dial-in',
  'forecasts',
  'changes',
  'tasters',
  'repeating',
  'grinders',
  'coffee-used',
] as const;
export type ReportName = (typeof REPORTS)[number];

export const REPORT_WORDS: Record<ReportName, string> = {
  'dial-in': 'To a recipe',
  forecasts: 'Forecasts',
  changes: 'Changes',
  tasters: 'Tasters',
  repeating: 'Repeating',
  grinders: 'Grinders',
  'coffee-used': 'Coffee used',
};

export type ReportCell = string | number | null;

export interface ReportColumn {
  key: string;
  label: string;
  /** Empty for a bare number or a text. */
  unit: string;
  kind: 'text' | 'day' | 'number';
  /** Of a number. */
  decimals: number;
}

export interface ReportRow {
  /** The lot that it leads to; `null` where it is of none. */
  lotId: number | null;
  cells: Record<string, ReportCell>;
}

export interface ReportPoint {
  /** A calendar date, or a name. */
  x: string;
  y: number;
  /** What tells points apart in words: a lot, a grinder. */
  of: string;
}

export interface ReportChart {
  kind: 'dots' | 'bars';
  /** What stands along the foot. */
  x: 'day' | 'name';
  /** Each quantity has its hue. */
  quantity: 'strength' | 'mass' | 'none';
  /** What is drawn upwards, with its unit. */
  yLabel: string;
  decimals: number;
  points: ReportPoint[];
  /** A level to hold it against, named. */
  line: { y: number; label: string } | null;
}

/** An answer, what it rests on, and the records behind it. */
export interface Report {
  answer: string;
  remark: string;
  columns: ReportColumn[];
  rows: ReportRow[];
  /** `null` where nothing is there to draw. */
  chart: ReportChart | null;
}

export const textColumn = (key: string, label: string): ReportColumn => ({
  key,
  label,
  unit: '',
  kind: 'text',
  decimals: 0,
});

export const dayColumn = (key: string, label: string): ReportColumn => ({
  key,
  label,
  unit: '',
  kind: 'day',
  decimals: 0,
});

export const numberColumn = (key: string, label: string, unit = '', decimals = 0): ReportColumn => ({
  key,
  label,
  unit,
  kind: 'number',
  decimals,
});

/** @example counted(1, 'lot') // '1 lot' */
export const counted = (count: number, one: string, many = `${one}s`) =>
  `${count} ${count === 1 ? one : many}`;
