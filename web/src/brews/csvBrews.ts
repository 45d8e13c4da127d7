import Papa from 'papaparse';
import { isValid, parse, parseISO } from 'date-fns';
import { parseDurationS, parseMassG, parseWithUnit, type Result } from '@vendu/core';
import { BrewInFileDto, checkDto, type FieldError } from '@vendu/contract';

/** What a column may tell of a brew, by the words that may head it; the first is how the page says it. */
export const BREW_COLUMNS = {
  brewedAt: ['Brewed', 'Date', 'Brewed on', 'When'],
  time: ['Time of day', 'At'],
  number: ['Brew', 'Brew number', 'No.'],
  version: ['Version'],
  roastedOn: ['Roasted', 'Roast date', 'Roasted on'],
  doseG: ['Dose', 'Dose g', 'Coffee', 'Coffee g'],
  waterG: ['Water poured', 'Water', 'Water g'],
  beverageG: ['Beverage', 'Beverage g', 'Yield g', 'Cup g'],
  drainS: ['Drain time', 'Time', 'Total time', 'Drawdown'],
  tdsPercents: ['Strength', 'TDS', 'TDS %', 'Reading', 'Readings'],
  note: ['Note', 'Notes'],
} as const satisfies Record<string, readonly string[]>;
export type BrewColumn = keyof typeof BREW_COLUMNS;
export const BREW_COLUMN_NAMES = Object.keys(BREW_COLUMNS) as BrewColumn[];

/** A table as it lies in a file, and what each of its columns is; `''` for one that is not used. */
export interface BrewTable {
  headings: string[];
  lines: string[][];
  columns: (BrewColumn | '')[];
}

/** Which column a heading was said to be, kept from file to file. */
export type RememberedColumns = Record<string, BrewColumn | ''>;

/** Reads a table; columns are known by what somebody said of such a heading before, else by its words. */
export function readBrewTable(text: string, remembered: RememberedColumns): BrewTable {
  const { data } = Papa.parse<string[]>(text.trim(), { skipEmptyLines: true });
  const [headings = [], ...lines] = data.map((line) => line.map((cell) => cell.trim()));
  const columns: (BrewColumn | '')[] = [];
  for (const heading of headings) {
    const said = remembered[heading.toLowerCase()] ?? headed(heading);
    // A second column of the same would overwrite the first.
    columns.push(said !== '' && columns.includes(said) ? '' : said);
  }
  return { headings, lines, columns };
}

function headed(heading: string): BrewColumn | '' {
  const said = heading.toLowerCase();
  return (
    BREW_COLUMN_NAMES.find((name) => BREW_COLUMNS[name].some((word) => word.toLowerCase() === said)) ?? ''
  );
}

/** Says what a column is; whatever was said to be that before is it no more. */
export function withColumn(table: BrewTable, index: number, column: BrewColumn | ''): BrewTable {
  return {
    ...table,
    columns: table.columns.map((each, at) => (at === index ? column : each === column ? '' : each)),
  };
}

/** How to write what could be read both ways. */
const HINTS: Partial<Record<BrewColumn, string>> = {
  brewedAt: ' Write 2026-11-30 or 30.11.2026.',
  roastedOn: ' Write 2026-11-30 or 30.11.2026.',
};

/** What a line says, and what is wrong with it by column. */
export function brewOf(
  table: BrewTable,
  line: readonly string[],
): { brew: BrewInFileDto; faults: FieldError[] } {
  const cell = (column: BrewColumn) => line[table.columns.indexOf(column)] ?? '';
  const faults: FieldError[] = [];
  function read<T>(column: BrewColumn, parsed: (text: string) => T | null): T | null {
    const text = cell(column);
    if (text === '') return null;
    const value = parsed(text);
    if (value === null)
      faults.push({ field: column, message: `“${text}” cannot be read.${HINTS[column] ?? ''}` });
    return value;
  }
  const number = read('number', (text) => figure(text, (typed) => parseWithUnit(typed, '')));
  const brew: BrewInFileDto = Object.assign(new BrewInFileDto(), {
    number,
    brewedAt: read('brewedAt', (text) => momentIn(text, cell('time'))),
    version: read('version', (text) =>
      figure(text.replace(/^v(ersion)?\s*/i, ''), (typed) => parseWithUnit(typed, '')),
    ),
    roastedOn: read('roastedOn', (text) => dayIn(text)),
    doseG: read('doseG', (text) => figure(text, parseMassG)),
    waterG: read('waterG', (text) => figure(text, parseMassG)),
    beverageG: read('beverageG', (text) => figure(text, parseMassG)),
    drainS: read('drainS', (text) => figure(text, parseDurationS)),
    tdsPercents: read('tdsPercents', readingsIn) ?? [],
    note: cell('note'),
  });
  if (number === null && cell('brewedAt') === '') {
    faults.push({ field: 'brewedAt', message: `${BREW_COLUMNS.brewedAt[0]} is required.` });
  }
  return { brew, faults: faults.length > 0 ? faults : checkDto(BrewInFileDto, brew) };
}

function figure(text: string, parsed: (typed: string) => Result<number>): number | null {
  const read = parsed(text);
  return read.ok ? read.value : null;
}

/** Several readings of one cup, with a semicolon, a slash or a space between them. */
function readingsIn(text: string): number[] | null {
  const read = text
    .replaceAll('%', ' ')
    .split(/[;/|\s]+/)
    .filter(Boolean)
    .map((each) => figure(each, (typed) => parseWithUnit(typed, '%')));
  return read.every((each) => each !== null) ? read : null;
}

/** Year first, or day first with dots; what could be read both ways is not guessed. */
const DAYS = ['yyyy-MM-dd', 'yyyy/MM/dd', 'd.M.yyyy', 'd MMM yyyy', 'd MMMM yyyy'];
const TIMES = ['HH:mm', 'HH:mm:ss', 'H:mm', 'h:mm a'];
/** Where a table tells no time of day. */
const NOON = '12:00';

function dayIn(text: string): string | null {
  const day = DAYS.map((format) => parse(text, format, new Date(0))).find(isValid);
  return day ? [day.getFullYear(), two(day.getMonth() + 1), two(day.getDate())].join('-') : null;
}

const two = (figures: number) => String(figures).padStart(2, '0');

/** A day and a time in one cell or two, as a moment. */
function momentIn(text: string, time: string): string | null {
  // A moment that says its zone is one already.
  if (WITH_ZONE.test(text)) return isValid(parseISO(text)) ? parseISO(text).toISOString() : null;
  const [, day = text, inCell = ''] = DAY_AND_TIME.exec(text) ?? [];
  const date = dayIn(day.trim());
  if (date === null) return null;
  const told = time || inCell || NOON;
  const moment = TIMES.map((format) => parse(`${date} ${told}`, `yyyy-MM-dd ${format}`, new Date(0))).find(
    isValid,
  );
  return moment ? moment.toISOString() : null;
}

const WITH_ZONE = /^\d{4}-\d\d-\d\dT.*(Z|[+-]\d\d:?\d\d)$/;
const DAY_AND_TIME = /^(.+?)[T ,]+(\d{1,2}:\d\d(?::\d\d)?(?: ?[ap]m)?)$/i;
