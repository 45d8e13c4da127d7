import { elevationOf, elevationWords, processWords } from '@vendu/core';
import type { PublishedCard } from '@vendu/contract';
import { countryName } from './countries.js';

/** Where a coffee comes from, in a line. */
export function originWords(
  card: Pick<
    PublishedCard,
    'farm' | 'region' | 'country' | 'variety' | 'process' | 'baseProcess' | 'isDecaffeinated' | 'additions'
  > &
    Parameters<typeof elevationOf>[0],
): string {
  const elevation = elevationOf(card);
  return [
    card.farm,
    card.region,
    countryName(card.country),
    card.variety,
    card.process === 'not-known' ? '' : processWords(card).toLowerCase(),
    elevation && elevationWords(elevation),
  ]
    .filter(Boolean)
    .join(', ');
}
