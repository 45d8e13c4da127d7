import { armLetter, type BlindSet, type ReferenceKind } from '@vendu/core';
import { Button } from '../ui/Button';
import { REFERENCE_WORDS } from './referenceWords';

/** First the key for whoever pours, then codes alone for whoever tastes. */
export function TasteCups({
  kind,
  cups,
  isPoured,
  onPoured,
  onAnswer,
  isSending,
}: {
  kind: ReferenceKind;
  cups: BlindSet;
  isPoured: boolean;
  onPoured: () => void;
  onAnswer: (code: string) => void;
  isSending: boolean;
}) {
  const { question } = REFERENCE_WORDS[kind];
  if (!isPoured) {
    return (
      <section>
        <h2 className="mb-2 text-large font-semibold">For whoever pours: the taster looks away</h2>
        <ol className="mb-4 flex flex-wrap gap-3">
          {cups.map(({ code, arm, isReference }, index) => (
            <li
              key={index}
              className="flex h-24 w-28 flex-col items-center justify-center border border-edge"
            >
              <span className="reading text-large font-semibold">{isReference ? 'known' : code}</span>
              <span className="text-large font-bold">{armLetter(arm)}</span>
            </li>
          ))}
        </ol>
        <Button weight="main" className="h-11" onClick={onPoured}>
          Poured: hide this
        </Button>
      </section>
    );
  }
  return (
    <section>
      <h2 className="mb-2 text-large font-semibold">{question}</h2>
      {kind === 'repeat' && <p className="mb-2">The cup without a number is the known one.</p>}
      <div className="flex flex-wrap gap-3">
        {cups
          .filter(({ isReference }) => !isReference)
          .map(({ code }) => (
            <Button
              key={code}
              className="reading h-24 w-28 rounded-b-[2rem] text-[1.5rem]"
              disabled={isSending}
              onClick={() => onAnswer(code)}
            >
              {code}
            </Button>
          ))}
      </div>
      <p className="caption mt-3">Rinse between. Spit if you can: caffeine adds up over a day.</p>
    </section>
  );
}
