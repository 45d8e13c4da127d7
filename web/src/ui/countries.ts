import countries from 'i18n-iso-countries';
import english from 'i18n-iso-countries/langs/en.json';

countries.registerLocale(english);

export function countryName(code: string): string {
  return countries.getName(code, 'en', { select: 'alias' }) ?? code;
}

/** Every country, by name. */
export const COUNTRIES: readonly { code: string; name: string }[] = Object.entries(
  countries.getNames('en', { select: 'alias' }),
)
  .map(([code, name]) => ({ code, name }))
  .sort((a, b) => a.name.localeCompare(b.name, 'en'));
