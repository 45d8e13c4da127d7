import { cupsTogether, formatClock, type SplitCup } from '@vendu/core';

/** What the cups make together, and what the forecasts of the lot learn from them; nothing where none was read. */
export function CupsTogether({ cups, isRead }: { cups: readonly SplitCup[]; isRead: boolean }) {
  const { read } = cupsTogether(cups);
  if (!read) return null;
  const strength = (
    <>
      together <span className="reading text-strength">{read.tdsPercent.toFixed(2)} %</span>
    </>
  );
  const upTo = formatClock(read.untilS);
  return (
    <p className="mt-2 text-small text-quiet">
      {read.isWhole ? 'All cups ' : `The cups up to ${upTo} `}
      {strength}
      {isRead
        ? '. The lot’s forecasts learn from the mixed cup, which was read too.'
        : read.isWhole
          ? ': the lot’s forecasts learn from them as from one cup.'
          : `: the lot’s forecasts learn from them as from a brewer lifted off at ${upTo}. Read the others, and the whole brew counts.`}
    </p>
  );
}
