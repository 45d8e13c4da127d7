import type { FieldErrors, Resolver } from 'react-hook-form';
import { formatElevation, parseElevation, type LotSign, type Process, type RoastLevel } from '@vendu/core';
import { checkDto, EditLotDto, LotFactsDto, NewLotDto, type FieldError, type LotView } from '@vendu/contract';
import { parseOptionalMass } from '../ui/quantities';

/** The form as typed: all text, so that nothing typed is ever lost to a conversion. */
export interface LotFormText {
  name: string;
  country: string;
  region: string;
  farm: string;
  producer: string;
  variety: string;
  process: Process | '';
  fermentationNote: string;
  additions: string;
  elevation: string;
  supplier: string;
  launchOn: string;
  signs: LotSign[];
  harvest: string;
  drying: string;
  labelNotes: string;
  stock: string;
  roastedOn: string;
  roastLevel: RoastLevel | '';
}

/** The form as kept on the device, with the revision of the lot that it was typed over; `null` for a new lot. */
export type LotDraft = LotFormText & { revision: number | null };

export const EMPTY_LOT: LotFormText = {
  name: '',
  country: '',
  region: '',
  farm: '',
  producer: '',
  variety: '',
  process: '',
  fermentationNote: '',
  additions: '',
  elevation: '',
  supplier: '',
  launchOn: '',
  signs: [],
  harvest: '',
  drying: '',
  labelNotes: '',
  stock: '',
  roastedOn: '',
  roastLevel: '',
};

export function lotFormText(lot: LotView): LotFormText {
  const { elevationFromM, elevationToM } = lot;
  return {
    ...EMPTY_LOT,
    ...(Object.fromEntries(SHARED_FIELDS.map((field) => [field, lot[field]])) as Pick<
      LotFormText,
      SharedField
    >),
    elevation:
      elevationFromM === null
        ? ''
        : formatElevation({ fromM: elevationFromM, toM: elevationToM ?? elevationFromM }),
    launchOn: lot.launchOn ?? '',
    signs: lot.signs,
  };
}

/** Fields that read the same in the form and in the contract. */
const SHARED_FIELDS = [
  'name',
  'country',
  'region',
  'farm',
  'producer',
  'variety',
  'process',
  'fermentationNote',
  'additions',
  'supplier',
  'harvest',
  'drying',
  'labelNotes',
] as const satisfies (keyof LotFormText & keyof LotFactsDto)[];
type SharedField = (typeof SHARED_FIELDS)[number];

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
  const facts = {
    ...Object.fromEntries(SHARED_FIELDS.map((field) => [field, text[field].trim()])),
    elevationFromM: elevation.ok ? (elevation.value?.fromM ?? null) : null,
    elevationToM: elevation.ok ? (elevation.value?.toM ?? null) : null,
    launchOn: text.launchOn || null,
    signs: text.signs,
  } as LotFactsDto;
  const lot: NewLotDto | EditLotDto =
    purpose.kind === 'new'
      ? {
          ...facts,
          roastedOn: text.roastedOn,
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

/** The contract's field names in the words of the form. */
export function formFieldOf(field: string): string {
  const names: Record<string, string> = {
    elevationFromM: 'elevation',
    elevationToM: 'elevation',
    stockG: 'stock',
  };
  return names[field] ?? field;
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
