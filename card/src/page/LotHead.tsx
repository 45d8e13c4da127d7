import type { PublicRecipeView } from '@vendu/contract';
import { originWords } from '../originWords.js';

/** Which coffee it is, what it promises, and what somebody may not drink of it. */
export function LotHead({ card }: { card: PublicRecipeView }) {
  return (
    <>
      <h1 className="text-[2rem] leading-tight font-bold print:text-title">{card.lotName}</h1>
      <p className="text-large print:text-small">{originWords(card)}</p>
      {card.labelNotes && <p className="text-large text-quiet print:text-small">{card.labelNotes}</p>}
      {card.additions && (
        <p className="mt-2 border-l-2 border-alarm pl-3 font-medium text-alarm">
          Co-fermented with {card.additions}. Check it against your allergies.
        </p>
      )}
    </>
  );
}
