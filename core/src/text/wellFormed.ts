/** Half of a character that takes two code units, as a text cut in the middle of one leaves behind. */
const HALF_CHARACTER = /[\uD800-\uDBFF](?![\uDC00-\uDFFF])|(?<![\uD800-\uDBFF])[\uDC00-\uDFFF]/g;
const REPLACEMENT = '\uFFFD';

/** A text that any database can keep: each half of a character becomes the sign for one that cannot be shown. */
export function wellFormed(text: string): string {
  return text.replace(HALF_CHARACTER, REPLACEMENT);
}

/** The beginning of a text, of at most so many code units, never cut inside a character. */
export function cutTo(text: string, length: number): string {
  return text.slice(0, length).replace(/[\uD800-\uDBFF]$/, '');
}
