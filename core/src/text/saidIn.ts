/** "Not sour", "less bitter" and their like say the opposite. */
const DENIED = /\b(not|no|less|without|never|hardly)( \w+)? $/i;

/** @returns the word as it stands in a text, lower case; `null` where it is not there or denied */
export function saidIn(text: string, words: RegExp): string | null {
  const match = words.exec(text);
  if (!match || DENIED.test(text.slice(0, match.index))) return null;
  return match[0].toLowerCase();
}
