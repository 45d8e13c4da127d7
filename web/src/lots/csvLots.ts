import Papa from 'papaparse';
import { LOT_SIGNS, PROCESSES, ROAST_LEVELS, type LotSign } from '@vendu/core';
import type { FieldError, NewLotDto } from '@vendu/contract';
import { COUNTRIES } from '../ui/countries';
import { PROCESS_WORDS, ROAST_WORDS, SIGN_WORDS } from '../ui/words';
import { EMPTY_LOT, readLotForm, type LotFormText } from './lotForm';

type TextField = Exclude<keyof LotFormText, 'signs'>;

/** The columns of a file, by the words that may head them; the first is what the form says. */
export const CSV_COLUMNS: Record<keyof LotFormText, readonly string[]> = {
  name: ['Name', 'Lot'],
  country: ['Country', 'Origin'],
  process: ['Process'],
  roastedOn: ['Roast date', 'Roasted on', 'Roasted'],
  roastLevel: ['Roast level', 'Roast'],
  region: ['Region'],
  farm: ['Farm or station', 'Farm', 'Station'],
  producer: ['Producer'],
  variety: ['Variety'],
  elevation: ['Elevation', 'Elevation m', 'Altitude'],
  fermentationNote: ['Fermentation note', 'Fermentation'],
  additions: ['Added fruit or yeast', 'Additions', 'Added'],
  supplier: ['Supplier'],
  harvest: ['Harvest'],
  drying: ['Drying'],
  labelNotes: ['Label notes', 'Notes'],
  launchOn: ['On sale from', 'Launch'],
  stock: ['Stock', 'Stock g', 'Stock weighed in'],
  signs: ['Noticed'],
};

/** One row of a file as text, so that it can be mended here before anything is stored. */
export type CsvRow = LotFormText;

export interface CsvFile {
  rows: CsvRow[];
  /** Headings that name no column, which are left out. */
  unknownColumns: string[];
  /** Why the file could not be read at all; `null` where it could. */
  trouble: string | null;
}

/** Reads a file by its headings. Separator and quoting are found out; nothing is judged here. */
export function readCsv(text: string): CsvFile {
  const { data, meta } = Papa.parse<Record<string, string>>(text.trim(), {
    header: true,
    skipEmptyLines: true,
  });
  const headings = meta.fields ?? [];
  const fieldOf = new Map(
    headings.map((heading) => [
      heading,
      (Object.keys(CSV_COLUMNS) as (keyof LotFormText)[]).find((field) =>
        CSV_COLUMNS[field].some((word) => word.toLowerCase() === heading.trim().toLowerCase()),
      ),
    ]),
  );
  const unknownColumns = headings.filter((heading) => fieldOf.get(heading) === undefined);
  if (![...fieldOf.values()].includes('name')) {
    const trouble = 'No column is headed Name. The first line of the file must name its columns.';
    return { rows: [], unknownColumns, trouble };
  }
  const rows = data.map((cells) => {
    const row: CsvRow = { ...EMPTY_LOT };
    for (const [heading, field] of fieldOf) {
      const cell = (cells[heading] ?? '').trim();
      if (field === 'signs') row.signs = signsOf(cell);
      else if (field) (row as Record<TextField, string>)[field] = cell;
    }
    return row;
  });
  return { rows, unknownColumns, trouble: rows.length === 0 ? 'The file has headings but no rows.' : null };
}

/** What is wrong with a row, by field of the form. */
export function faultsOf(row: CsvRow): FieldError[] {
  return readLotForm(inHouseWords(row), { kind: 'new' }).errors;
}

export function lotOf(row: CsvRow): NewLotDto {
  return readLotForm(inHouseWords(row), { kind: 'new' }).lot as NewLotDto;
}

/** A country by name or code, a process and a roast level as they are said; what is not known stays as typed. */
function inHouseWords(row: CsvRow): LotFormText {
  return {
    ...row,
    country: countryCodeOf(row.country),
    process: named(PROCESSES, PROCESS_WORDS, row.process),
    roastLevel: named(ROAST_LEVELS, ROAST_WORDS, row.roastLevel),
  };
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
