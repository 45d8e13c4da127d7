import { callsFor, dueWords, stepSentence, type BenchStep } from '@vendu/core';
import { classes } from '../ui/classes';
import { agitatingWords, secondsWords, stepWords } from './stepWords';

/** The one next thing: what, to which total, in how many seconds. Readable from two metres. */
export function Instruction({
  next,
  dueInS,
  isFlashing,
  current,
  isCompact,
  fromCard,
}: {
  next: BenchStep;
  dueInS: number | null;
  isFlashing: boolean;
  current: BenchStep | null;
  isCompact: boolean;
  /** Said as the card says it, and no more. */
  fromCard: boolean;
}) {
  const { doing, figure } = stepWords(next);
  const waitsFor = callsFor(next);
  const agitating = agitatingWords(next);
  const isOpen = next.kind === 'agitate' && waitsFor !== null;
  const size = isCompact ? 'text-[clamp(2rem,3.3vw,2.75rem)]' : 'text-[clamp(2.5rem,5.6vw,5rem)]';
  return (
    <div
      className={classes(
        'mt-3 border-t-4 pt-2',
        isFlashing ? 'border-alarm bg-ink px-4 text-sheet' : 'border-ink',
      )}
    >
      <p className="text-large">
        {dueInS === null ? 'First' : dueInS >= 0 || waitsFor !== null ? 'Next' : 'Due'}
        {current && <span className="opacity-75"> (now: {stepWords(current).doing.toLowerCase()})</span>}
      </p>
      {fromCard ? (
        <p className="text-[clamp(1.75rem,3.3vw,2.75rem)] leading-tight font-bold">{stepSentence(next)}</p>
      ) : (
        <p className={classes('flex flex-wrap items-baseline gap-x-6 leading-tight font-bold', size)}>
          {doing}
          {figure && (
            <span className={classes('reading', !isFlashing && 'text-water')}>
              <span className="text-[0.55em] font-normal">to </span>
              <span className="[word-spacing:-0.3em]">{figure}</span>
            </span>
          )}
        </p>
      )}
      <div className="flex flex-wrap items-baseline gap-x-8">
        {dueInS !== null && waitsFor !== null && (
          <p className="text-[clamp(1.75rem,3.3vw,2.75rem)] leading-tight font-bold">{waitsFor}</p>
        )}
        {dueInS !== null && waitsFor === null && (
          <p className={classes('reading leading-tight font-semibold [word-spacing:-0.3em]', size)}>
            {dueInS === 0
              ? 'now'
              : dueInS > 0
                ? `in ${secondsWords(Math.ceil(dueInS))}`
                : `late ${secondsWords(Math.floor(-dueInS))}`}
          </p>
        )}
        {!fromCard && (
          <p className="reading text-title">
            {next.kind === 'pour' && <span className="mr-6">+{next.amountG} g</span>}
            {agitating && <span className="mr-6 font-words font-semibold">{agitating}</span>}
            {next.kind === 'pour' && next.pouring && <span className="mr-6 font-words">{next.pouring}</span>}
            {waitsFor === null && 'at '}
            {dueWords(next)}
            {isOpen && <span className="ml-6 font-words">else S skips it</span>}
          </p>
        )}
      </div>
    </div>
  );
}
