import countries from 'i18n-iso-countries';
import english from 'i18n-iso-countries/langs/en.json' with { type: 'json' };

countries.registerLocale(english);

/** The two that share one short name, by their capitals. */
const TOLD_APART: Record<string, string> = { CD: 'Congo (Kinshasa)', CG: 'Congo (Brazzaville)' };

export function countryName(code: string): string {
  return TOLD_APART[code] ?? countries.getName(code, 'en', { select: 'alias' }) ?? code;
}

/** Every country, by name. */
export const COUNTRIES: readonly { code: string; name: string }[] = Object.keys(countries.getAlpha2Codes())
  .map((code) => ({ code, name: countryName(code) }))
  .sort((a, b) => a.name.localeCompare(b.name, 'en'));
