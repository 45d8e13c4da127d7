import type { ReadingNote } from '@vendu/core';
import type { BrewView } from '@vendu/contract';
import { Notice } from '../ui/Notice';

const NOTE_WORDS: Record<Exclude<ReadingNote, 'one-off'>, string> = {
  'too-few': 'Fewer than three readings: their spread says nothing yet. Read once more.',
  'spread-wide':
    'The readings disagree by more than the instrument explains. Stir, cool, zero on clean water and read again.',
};

/** What a result lacks, beside the fields that can mend it. */
export function ResultNotices({ brew }: { brew: BrewView }) {
  const { result } = brew;
  return (
    <>
      {result?.yield.basis === 'assumed' && (
        <Notice>
          The beverage was not weighed, so the yield is a band, not a measurement. Weigh the beverage to
          narrow it.
        </Notice>
      )}
      {brew.doseBasis === 'as-planned' && (
        <Notice>The dose was not weighed: the plan’s {brew.plan.doseG} g is used.</Notice>
      )}
      {result?.strength.notes.map((note) => (
        <Notice key={note}>{note === 'one-off' ? oneOffWords(brew) : NOTE_WORDS[note]}</Notice>
      ))}
    </>
  );
}

/** Which reading does not belong to the others, and what to do about it. */
function oneOffWords({ readings, result }: BrewView): string {
  const outlying = result?.strength.outlying;
  const reading = readings[outlying?.index ?? -1]?.tdsPercent.toFixed(2) ?? 'One reading';
  const off = Math.abs(outlying?.offPercent ?? 0).toFixed(2);
  return `${reading} % is ${off} off the other readings, more than the instrument scatters. Wipe the prism, read once more, and remove the one that does not belong.`;
}
