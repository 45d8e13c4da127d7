import { armLetter } from '@vendu/core';
import type { OpenedPlaceView } from '@vendu/contract';
import { Fold } from '../ui/Fold';
import { TASTING_STAGE_WORDS } from '../ui/words';

/** The key, and what the tasters wrote beside their answers. */
export function OpenedCups({ sets, arms }: { sets: readonly OpenedPlaceView[]; arms: readonly number[] }) {
  const notes = sets.flatMap(({ number, notes: own }) => own.map((note) => ({ ...note, number })));
  return (
    <Fold summary="Key and notes">
      <ul className="mt-2 flex flex-wrap gap-x-6 gap-y-1 text-small">
        {sets.map(({ number, cups }) => (
          <li key={number}>
            <span className="text-quiet">{number}</span>{' '}
            {cups.map(({ code, arm, isReference }, index) => (
              <span key={index} className="mr-2">
                <span className="reading">{isReference ? 'known' : code}</span> {armLetter(arms[arm] ?? arm)}
              </span>
            ))}
          </li>
        ))}
      </ul>
      <ul className="mt-2 text-small">
        {notes.map(({ number, stage, text }) => (
          <li key={`${number} ${stage}`}>
            <span className="text-quiet">
              Taster {number}, {TASTING_STAGE_WORDS[stage].toLowerCase()}:
            </span>{' '}
            {text}
          </li>
        ))}
      </ul>
    </Fold>
  );
}
