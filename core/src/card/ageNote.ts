/** What a card says of an older bag. */
export interface AgeNote {
  /** Days from roast. */
  fromDay: number;
  /** What to do then, without figures. */
  words: string;
}

/** @example ageNoteWords({ fromDay: 20, words: 'grind a little finer.' }) // 'From day 20 after the roast: grind a little finer.' */
export function ageNoteWords({ fromDay, words }: AgeNote): string {
  return `From day ${fromDay} after the roast: ${words.trim().replace(/\.$/, '')}.`;
}
