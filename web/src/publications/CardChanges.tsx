import type { ReactNode } from 'react';
import type { CardChange } from '@vendu/contract';
import { Notice } from '../ui/Notice';
import { countryName } from '@vendu/card/countries';
import { PROCESS_WORDS } from '@vendu/core';

const FIELD_WORDS: Record<CardChange['field'], string> = {
  additions: 'Added fruit or yeast',
  lotName: 'Name of the lot',
  country: 'Country',
  process: 'Process',
  baseProcess: 'Base process',
  isDecaffeinated: 'Decaffeinated',
  brewerName: 'Brewer',
  houseName: 'Roastery',
  housePlace: 'Place',
  region: 'Region',
  farm: 'Farm or station',
  producer: 'Producer',
  variety: 'Variety',
  labelNotes: 'Label notes',
  elevationFromM: 'Elevation from, m',
  elevationToM: 'Elevation to, m',
  elevationWord: 'Elevation',
  paper: 'Paper',
  grinderName: 'Grinder',
  grinderSetting: 'Grinder setting',
  ageNote: 'An older bag',
  signedBy: 'Signed by',
  secondSetting: 'Setting for the second grind',
};

function valueWords(field: CardChange['field'], value: string): string {
  if (value === '') return 'nothing';
  if (field === 'isDecaffeinated') return 'yes';
  if (field === 'country') return countryName(value);
  if (field === 'process' || field === 'baseProcess')
    return PROCESS_WORDS[value as keyof typeof PROCESS_WORDS];
  return value;
}

/** In what a public card differs from the records: what was added to the lot first, since somebody may be allergic to it. */
export function CardChanges({ changes, children }: { changes: readonly CardChange[]; children?: ReactNode }) {
  return (
    <Notice tone={changes.some(({ field }) => field === 'additions') ? 'alarm' : 'note'}>
      <p className="font-semibold">The public card no longer matches the records.</p>
      <ul>
        {changes.map(({ field, published, now }) => (
          <li key={field}>
            {FIELD_WORDS[field]}: {valueWords(field, published)} →{' '}
            <span className="font-semibold">{valueWords(field, now)}</span>
          </li>
        ))}
      </ul>
      <p>It stays as it was published until a lead publishes it again. {children}</p>
    </Notice>
  );
}
