import { CODE_ASKED_OF, LOT_FIGURES, LOT_TEXTS, type CodeAskedOf, type EditedField } from '@vendu/contract';
import { VERDICTS, type Verdict } from '@vendu/core';
import { dayAndTimeOf, dayOf } from '../ui/dates';
import { CODE_ASKED_WORDS, VERDICT_WORDS } from '../ui/words';

/** Units as names of fields end with them; the longer ones first, since `PerM` ends as `M` does. */
const UNITS: readonly (readonly [string, string])[] = [
  ['MgPerL', 'mg/L'],
  ['GPerL', 'g/L'],
  ['Percent', '%'],
  ['PerM', '1/m'],
  ['PerKg', 'a kg'],
  ['Days', 'd'],
  ['Gps', 'g/s'],
  ['Min', 'min'],
  ['Um', 'µm'],
  ['Mm', 'mm'],
  ['Kg', 'kg'],
  ['C', '°C'],
  ['S', 's'],
  ['G', 'g'],
  ['M', 'm'],
];

const LOT_FIELDS: Readonly<Record<string, { label: string; unit?: string }>> = {
  ...LOT_TEXTS,
  ...LOT_FIGURES,
};

/** Names of things in the words of the lab. */
export const THINGS: Readonly<Record<string, string>> = {
  lots: 'facts',
  recipes: 'recipe',
  house: 'the lab',
  papers: 'paper',
  brewers: 'brewer',
  grinders: 'grinder',
  kettles: 'kettle',
  sieves: 'sieve',
  feeders: 'regulator or shower plate',
  waters: 'water',
  instruments: 'instrument',
  stated_settings: 'stated setting',
  people: '',
  code_rules: 'the lab',
  brews: '',
  readings: 'reading',
  fractions: '',
};

/** A field that was changed, as it is said: its name, and both values where they can be said in a word. */
export function editWords({
  field,
  from,
  to,
}: EditedField): { name: string; from: string; to: string } | { name: string } {
  const { name, unit } = fieldWords(field);
  if (field.endsWith('Id') || isWhole(from) || isWhole(to)) return { name };
  if (field === 'askedOf') return { name, from: askedWords(from), to: askedWords(to) };
  if (field === 'verdict') return { name, from: verdictWords(from), to: verdictWords(to) };
  return { name, from: valueWords(from, unit), to: valueWords(to, unit) };
}

/** Names that stand for something else on the screen. */
const CALLED: Readonly<Record<string, string>> = {
  schools: 'house style',
  checklist: 'what a proof asks for',
  watchLimits: 'limits of the watch',
  ageNote: 'what an older bag needs',
  tdsLowPercent: 'strength from',
  tdsHighPercent: 'strength to',
  yieldLowPercent: 'yield from',
  yieldHighPercent: 'yield to',
  leftAt: 'left',
  email: 'e-mail',
  askedOf: 'code at sign-in asked of',
  verdictReason: 'its reason',
  setAsideAt: 'excluded',
  removedAt: 'removed',
  startS: 'from',
  endS: 'to',
  beverageG: 'mass',
  tdsPercent: 'strength',
  isWanted: 'wanted',
};

function fieldWords(field: string): { name: string; unit: string } {
  const known = LOT_FIELDS[field];
  if (known) return { name: known.label.toLowerCase(), unit: known.unit ?? '' };
  const [ending = '', unit = ''] =
    UNITS.find(([end]) => field.length > end.length && field.endsWith(end)) ?? [];
  const bare = field.slice(0, field.length - ending.length).replace(/(Id|At|On)$/, '');
  return { name: CALLED[field] ?? bare.replaceAll(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`), unit };
}

const isVerdict = (value: unknown): value is Verdict => VERDICTS.some((each) => each === value);
const verdictWords = (value: unknown) => (isVerdict(value) ? VERDICT_WORDS[value] : 'none');

const isAsked = (value: unknown): value is CodeAskedOf => CODE_ASKED_OF.some((each) => each === value);
const askedWords = (value: unknown) => (isAsked(value) ? CODE_ASKED_WORDS[value].toLowerCase() : 'nobody');

/** What has parts is not said in a word. */
function isWhole(value: unknown): boolean {
  return typeof value === 'object' && value !== null;
}

function valueWords(value: unknown, unit: string): string {
  if (value === null || value === '') return 'none';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'number') return unit === '' ? String(value) : `${value} ${unit}`;
  const text = typeof value === 'string' ? value : JSON.stringify(value);
  if (/^\d{4}-\d\d-\d\dT/.test(text)) return dayAndTimeOf(text);
  return /^\d{4}-\d\d-\d\d$/.test(text) ? dayOf(text) : text;
}
