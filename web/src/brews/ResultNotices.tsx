import type { ReadingNote } from '@vendu/core';
import type { BrewView } from '@vendu/contract';
import { Notice } from '../ui/Notice';

const NOTE_WORDS: Record<ReadingNote, string> = {
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
        <Notice key={note}>{NOTE_WORDS[note]}</Notice>
      ))}
    </>
  );
}
