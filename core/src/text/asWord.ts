/** A word as tasters write it: either number, whatever its case, and as an adjective of itself ("lemony"). */
export function asWord(word: string): RegExp {
  const stem = word
    .trim()
    .replace(/ies$/i, 'y')
    .replace(/(?<!s)s$/i, '')
    .replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
  const forms = /y$/i.test(stem) ? `${stem.slice(0, -1)}(?:y|ies)` : `${stem}(?:e?s|y)?`;
  return new RegExp(`(?<![\\p{L}])${forms}(?![\\p{L}])`, 'iu');
}
