import Papa from 'papaparse';
import {
  BASE_PROCESSES,
  LOT_SIGNS,
  mayHaveBase,
  processFaults,
  PROCESSES,
  ROAST_LEVELS,
  type LotSign,
} from '@vendu/core';
import { LABEL_NOTES, LOT_FIGURES, LOT_TEXTS, type FieldError, type NewLotDto } from '@vendu/contract';
import { COUNTRIES } from '@vendu/card/countries';
import { ROAST_WORDS, SIGN_WORDS } from '../ui/words';
import { PROCESS_WORDS } from '@vendu/core';
import { EMPTY_LOT, readLotForm, type LotFormText } from './lotForm';

const headings = ({ label, alsoCalled }: { label: string; alsoCalled: readonly string[] }) => [
  label,
  ...alsoCalled,
];

/** The columns of a file, by the words that may head them; the first is what the form says. */
export const CSV_COLUMNS = {
  ...mapValues(LOT_TEXTS, headings),
  ...mapValues(LOT_FIGURES, headings),
  country: ['Country', 'Origin'],
  process: ['Process'],
  baseProcess: ['Base process', 'Base'],
  isDecaffeinated: ['Decaffeinated', 'Decaf'],
  labelNotes: [LABEL_NOTES.label, ...LABEL_NOTES.alsoCalled],
  roastedOn: ['Roast date', 'Roasted on', 'Roasted'],
  roastLevel: ['Roast level', 'Roast'],
  elevation: ['Elevation', 'Elevation m', 'Altitude'],
  launchOn: ['On sale from', 'Launch'],
  stock: ['Stock', 'Stock g', 'Stock weighed in'],
  signs: ['Noticed', 'Noticed so far'],
} satisfies Record<keyof LotFormText, readonly string[]>;

function mapValues<K extends string, V, R>(from: Record<K, V>, of: (value: V) => R): Record<K, R> {
  const entries = Object.entries<V>(from).map(([name, value]) => [name, of(value)]);
  return Object.fromEntries(entries) as Record<K, R>;
}

/** One row of a file as text, so that it can be mended here before anything is stored. */
export type CsvRow = LotFormText;

export type CsvField = keyof LotFormText;

/** A column of the file that nobody could place yet, with its cells. */
interface UnplacedColumn {
  heading: string;
  cells: string[];
}

export interface CsvFile {
  rows: CsvRow[];
  /** Columns whose heading names no field; a person may say what they are. */
  unplaced: UnplacedColumn[];
  /** Why the file could not be read at all; `null` where it could. */
  trouble: string | null;
}

/** What somebody said a heading is, in small letters; kept from file to file. */
export type RememberedHeadings = Record<string, CsvField>;

/** Reads a file by its headings. Separator and quoting are found out; nothing is judged here. */
export function readCsv(text: string, remembered: RememberedHeadings = {}): CsvFile {
  const { data, meta } = Papa.parse<Record<string, string>>(text.trim(), {
    header: true,
    skipEmptyLines: true,
  });
  const rows = data.map((): CsvRow => ({ ...EMPTY_LOT }));
  const file: CsvFile = {
    rows,
    unplaced: [],
    trouble: rows.length === 0 ? 'The file has headings but no rows.' : null,
  };
  return (meta.fields ?? []).reduce((read, heading) => {
    const column = { heading, cells: data.map((row) => (row[heading] ?? '').trim()) };
    const field = fieldHeaded(heading) ?? remembered[heading.trim().toLowerCase()];
    return field ? withColumn(read, column, field) : { ...read, unplaced: [...read.unplaced, column] };
  }, file);
}

/** Says what a column is that its heading did not tell. */
export function placeColumn(file: CsvFile, heading: string, field: CsvField): CsvFile {
  const column = file.unplaced.find((each) => each.heading === heading);
  if (!column) return file;
  const others = file.unplaced.filter((each) => each !== column);
  return withColumn({ ...file, unplaced: others }, column, field);
}

function withColumn(file: CsvFile, { cells }: UnplacedColumn, field: CsvField): CsvFile {
  const rows = file.rows.map((row, index): CsvRow => {
    const cell = cells[index] ?? '';
    return field === 'signs' ? { ...row, signs: signsOf(cell) } : { ...row, [field]: cell };
  });
  return { ...file, rows };
}

function fieldHeaded(heading: string): CsvField | undefined {
  const said = heading.trim().toLowerCase();
  return (Object.keys(CSV_COLUMNS) as CsvField[]).find((field) =>
    CSV_COLUMNS[field].some((word) => word.toLowerCase() === said),
  );
}

/** The first line that says just the same as each row, as an index of rows; `null` where a row stands alone. */
export function sameAs(rows: readonly CsvRow[]): (number | null)[] {
  const first = new Map<string, number>();
  return rows.map((row, index) => {
    const text = JSON.stringify(inHouseWords(row)).toLowerCase();
    const earlier = first.get(text) ?? null;
    if (earlier === null) first.set(text, index);
    return earlier;
  });
}

/** What is wrong with a row, by field of the form. */
export function faultsOf(row: CsvRow): FieldError[] {
  const text = inHouseWords(row);
  const { process, baseProcess } = text;
  // The form hides a base that cannot be; a file may still say one, and nothing of it is dropped unseen.
  const base = process && baseProcess ? processFaults({ process, baseProcess }) : [];
  return [
    ...readLotForm(text, { kind: 'new' }).errors,
    ...base,
    ...decaffeinatedFaults(text.isDecaffeinated),
  ];
}

const YES = /^(y|yes|true|x|1|decaf|decaffeinated)$/i;
const NO = /^(|n|no|false|0|-|none)$/i;

/** As it is said; what is neither yes nor no stays as typed, and is named. */
function decaffeinatedSaid(typed: LotFormText['isDecaffeinated']): LotFormText['isDecaffeinated'] {
  const said = typed.trim();
  if (YES.test(said)) return 'yes';
  return NO.test(said) ? '' : typed;
}

/** What the form knows as a choice may be any word in a file. */
function decaffeinatedFaults(said: string): FieldError[] {
  return said === '' || said === 'yes'
    ? []
    : [{ field: 'isDecaffeinated', message: 'Decaffeinated must be yes or no.' }];
}

export function lotOf(row: CsvRow): NewLotDto {
  return readLotForm(inHouseWords(row), { kind: 'new' }).lot as NewLotDto;
}

/** A country by name or code, a process and a roast level as they are said; what is not known stays as typed. */
function inHouseWords(kept: CsvRow): LotFormText {
  // What was kept by an earlier version knows fewer columns.
  const row = { ...EMPTY_LOT, ...kept };
  return {
    ...row,
    country: countryCodeOf(row.country),
    ...processesSaid(row),
    isDecaffeinated: decaffeinatedSaid(row.isDecaffeinated),
    roastLevel: named(ROAST_LEVELS, ROAST_WORDS, row.roastLevel),
  };
}

/** A process and its base, as `Anaerobic natural` says both in one cell. */
function processesSaid(row: CsvRow): Pick<LotFormText, 'process' | 'baseProcess'> {
  const process = named(PROCESSES, PROCESS_WORDS, row.process);
  const baseProcess = named(BASE_PROCESSES, PROCESS_WORDS, row.baseProcess);
  if (PROCESSES.some((known) => known === process)) return { process, baseProcess };
  const said = row.process.trim().toLowerCase();
  for (const base of BASE_PROCESSES) {
    const rest = said.replace(new RegExp(`,?\\s*\\b${base}\\b,?\\s*`), ' ').trim();
    const without = PROCESSES.find((each) => mayHaveBase(each) && PROCESS_WORDS[each].toLowerCase() === rest);
    if (rest !== said && without) return { process: without, baseProcess: base };
  }
  return { process, baseProcess };
}

function countryCodeOf(said: string): string {
  const known = COUNTRIES.find(({ code, name }) =>
    [code, name].some((word) => word.toLowerCase() === said.trim().toLowerCase()),
  );
  return known?.code ?? said;
}

function named<T extends string>(values: readonly T[], words: Record<T, string>, typed: T | ''): T | '' {
  const said = typed.trim().toLowerCase();
  const known = values.find(
    (value) => value === said.replace(/\s+/g, '-') || words[value].toLowerCase() === said,
  );
  return known ?? typed;
}

function signsOf(cell: string): LotSign[] {
  const said = cell.split(/[;,]/).map((word) => word.trim().toLowerCase());
  return LOT_SIGNS.filter((sign) => said.includes(sign) || said.includes(SIGN_WORDS[sign].toLowerCase()));
}
