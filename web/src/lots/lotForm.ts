import type { FieldErrors, Resolver } from 'react-hook-form';
import {
  elevationOf,
  formatElevation,
  keptElevation,
  labelNotesIn,
  labelNotesText,
  mayHaveBase,
  parseElevation,
  parseNumber,
  parseWithUnit,
  success,
  type BaseProcess,
  type LotSign,
  type Process,
  type Result,
  type RoastLevel,
} from '@vendu/core';
import {
  checkDto,
  EditLotDto,
  LOT_FIGURE_NAMES,
  LOT_FIGURES,
  LOT_TEXT_NAMES,
  NewLotDto,
  type FieldError,
  type FigureField,
  type LotFactsDto,
  type LotFigure,
  type LotText,
  type LotView,
} from '@vendu/contract';
import { parseOptionalMass } from '../ui/quantities';

/** The form as typed: all text, so that nothing typed is ever lost to a conversion. */
export interface LotFormText extends Record<LotText | LotFigure, string> {
  /** One after a comma. */
  labelNotes: string;
  isDecaffeinated: 'yes' | '';
  country: string;
  process: Process | '';
  baseProcess: BaseProcess | '';
  elevation: string;
  launchOn: string;
  signs: LotSign[];
  stock: string;
  roastedOn: string;
  roastLevel: RoastLevel | '';
}

/** The form as kept on the device, with the revision of the lot that it was typed over; `null` for a new lot. */
export type LotDraft = LotFormText & { revision: number | null };

export const EMPTY_LOT: LotFormText = {
  ...each([...LOT_TEXT_NAMES, ...LOT_FIGURE_NAMES], () => ''),
  labelNotes: '',
  isDecaffeinated: '',
  country: '',
  process: '',
  baseProcess: '',
  elevation: '',
  launchOn: '',
  signs: [],
  stock: '',
  roastedOn: '',
  roastLevel: '',
};

export function lotFormText(lot: LotView): LotFormText {
  const { country, process, baseProcess, launchOn, signs } = lot;
  const elevation = elevationOf(lot);
  return {
    ...EMPTY_LOT,
    ...each(LOT_TEXT_NAMES, (name) => lot[name]),
    ...each(LOT_FIGURE_NAMES, (name) => String(lot[name] ?? '')),
    labelNotes: labelNotesText(lot.labelNotes),
    isDecaffeinated: lot.isDecaffeinated ? 'yes' : '',
    country,
    process,
    baseProcess: baseProcess ?? '',
    elevation: elevation ? formatElevation(elevation) : '',
    launchOn: launchOn ?? '',
    signs,
  };
}

/** Something for each of some names. */
function each<K extends string, V>(names: readonly K[], of: (name: K) => V): Record<K, V> {
  return Object.fromEntries(names.map((name) => [name, of(name)])) as Record<K, V>;
}

/** What the form sends (what is left is weighed on the page of the lot, so an edit says nothing of it); or, by field of the form, why it cannot. */
export function readLotForm(
  text: LotFormText,
  purpose: { kind: 'new' } | { kind: 'edit'; revision: number },
): { lot: NewLotDto | EditLotDto; errors: FieldError[] } {
  const errors: FieldError[] = [];
  const elevation = parseElevation(text.elevation);
  if (!elevation.ok) errors.push({ field: 'elevation', message: elevation.message });
  const stock = parseOptionalMass(text.stock);
  if (!stock.ok) errors.push({ field: 'stock', message: stock.message });
  const figures = each(LOT_FIGURE_NAMES, (name) => {
    const figure = readFigure(name, text[name]);
    if (!figure.ok) errors.push({ field: name, message: figure.message });
    return figure.ok ? figure.value : null;
  });
  const facts: LotFactsDto = {
    ...each(LOT_TEXT_NAMES, (name) => text[name].trim()),
    ...figures,
    country: text.country.trim(),
    // What nobody has chosen is refused below, by its name.
    process: text.process as Process,
    // A base typed before its process was changed to one that has none is not sent.
    baseProcess: text.process !== '' && mayHaveBase(text.process) ? text.baseProcess || null : null,
    // Said by the process itself there.
    isDecaffeinated: text.isDecaffeinated === 'yes' && text.process !== 'decaffeinated',
    labelNotes: labelNotesIn(text.labelNotes),
    ...keptElevation(elevation.ok ? elevation.value : null),
    launchOn: text.launchOn || null,
    signs: text.signs,
  };
  const lot: NewLotDto | EditLotDto =
    purpose.kind === 'new'
      ? {
          ...facts,
          roastedOn: text.roastedOn || null,
          roastLevel: text.roastLevel || null,
          stockG: stock.ok ? stock.value : null,
        }
      : { ...facts, revision: purpose.revision };
  const checked = checkDto<NewLotDto | EditLotDto>(purpose.kind === 'new' ? NewLotDto : EditLotDto, lot);
  return {
    lot,
    errors: [...errors, ...checked.map((error) => ({ ...error, field: formFieldOf(error.field) }))],
  };
}

/** A figure that may be left empty; empty means not known. */
function readFigure(name: LotFigure, text: string): Result<number | null> {
  const { unit }: FigureField = LOT_FIGURES[name];
  if (text.trim() === '') return success(null);
  return unit === '' ? parseNumber(text) : parseWithUnit(text, unit);
}

/** The contract's field names in the words of the form. */
export function formFieldOf(field: string): string {
  const names: Record<string, string> = {
    elevationFromM: 'elevation',
    elevationToM: 'elevation',
    elevationWord: 'elevation',
    stockG: 'stock',
  };
  // A note of the list has no field of its own.
  return names[field] ?? (field.startsWith('labelNotes.') ? 'labelNotes' : field);
}

export function lotFormResolver(purpose: Parameters<typeof readLotForm>[1]): Resolver<LotFormText> {
  return (values) => {
    const { errors } = readLotForm(values, purpose);
    if (errors.length === 0) return { values, errors: {} };
    const complaints: FieldErrors<LotFormText> = {};
    for (const { field, message } of errors) {
      complaints[field as keyof LotFormText] ??= { type: 'check', message };
    }
    return { values: {}, errors: complaints };
  };
}
