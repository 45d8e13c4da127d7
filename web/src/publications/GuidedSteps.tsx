import { cardWords, formatClock, formatDuration, guidedMoment, type BrewPlan } from '@vendu/core';
import { brewNowMs } from '../device/brewClock';
import { useDraft } from '../device/draft';
import { useNow } from '../device/useNow';
import { Button } from '../ui/Button';
import { classes } from '../ui/classes';

/** A clock older than this was left running, ms: no filter brew takes so long. */
const LONGEST_BREW_MS = 30 * 60_000;

/** A brew from the card on this device. */
interface Guided {
  /** Unix time, ms. */
  startedMs: number;
  /** When what a step waited for was seen, s on the brew clock, in their order. */
  seenS: number[];
}

/**
 * The steps in words, and a clock that walks through them, but for what has to be seen: there it waits. The clock is the
 * wall's, so a locked phone loses nothing.
 */
export function GuidedSteps({ slug, plan }: { slug: string; plan: BrewPlan }) {
  const [kept, keep] = useDraft<Guided | null>(`public.${slug}.guided`, null);
  const nowMs = useNow(kept === null ? null : 200);
  const guided = kept !== null && nowMs - kept.startedMs < LONGEST_BREW_MS ? kept : null;
  const elapsedS = guided === null ? null : Math.max(0, (nowMs - guided.startedMs) / 1000);
  const { before, steps, after } = cardWords(plan);
  const { dueS, currentIndex, waitingIndex } = guidedMoment({ steps, elapsedS, seenS: guided?.seenS ?? [] });
  const next = steps[currentIndex + 1];
  const isWaiting = waitingIndex !== null;
  return (
    <section aria-label="The steps">
      <div className="sticky top-0 z-10 flex flex-wrap items-center gap-4 border-b border-ink bg-sheet py-3 print:hidden">
        <span
          role="timer"
          aria-label="Clock"
          className="reading text-[3.25rem] leading-none font-semibold text-time"
        >
          {formatClock(elapsedS ?? 0)}
        </span>
        {elapsedS !== null && next && (
          // In sight while the clock runs, wherever the list below stands.
          <span className="order-last w-full text-large sm:order-none sm:w-auto sm:max-w-md">
            {isWaiting ? (
              'waits: '
            ) : (
              <>
                {next.isAbout ? 'about in' : 'in'}{' '}
                <span className="reading font-semibold">
                  {Math.max(0, Math.ceil((dueS[currentIndex + 1] ?? next.atS) - elapsedS))} s
                </span>
                :{' '}
              </>
            )}
            {next.words}
          </span>
        )}
        {guided !== null && elapsedS !== null && isWaiting && (
          <Button
            weight="main"
            className="ml-auto h-12 px-6 text-body"
            onClick={() => keep({ ...guided, seenS: [...guided.seenS, elapsedS] })}
          >
            It is: pour now
          </Button>
        )}
        {guided === null ? (
          <Button
            weight="main"
            className="ml-auto h-12 px-6 text-body"
            onClick={() => keep({ startedMs: brewNowMs(), seenS: [] })}
          >
            Start with the first pour
          </Button>
        ) : (
          <Button
            className={classes('h-12 px-6 text-body', !isWaiting && 'ml-auto')}
            onClick={() => keep(null)}
          >
            Back to zero
          </Button>
        )}
      </div>
      <ul
        aria-label="Before the clock"
        className="border-b border-rule py-2.5 text-body print:columns-2 print:py-1 print:text-small"
      >
        {before.map((words) => (
          <li key={words}>{words}</li>
        ))}
      </ul>
      <ol>
        {steps.map((step, index) => (
          <li
            key={index}
            aria-current={index === currentIndex ? 'step' : undefined}
            className={classes(
              'grid grid-cols-[4rem_1fr] gap-3 border-b border-rule py-2.5 text-large print:py-1 print:text-body',
              index === currentIndex && 'bg-ink px-2 text-sheet',
            )}
          >
            <span className="reading font-medium">
              {step.isAbout && <span className="block font-words text-tiny">about</span>}
              {formatDuration(step.atS)}
            </span>
            <span>{step.words}</span>
          </li>
        ))}
      </ol>
      {after.map((words) => (
        <p key={words} className="border-b border-rule py-2.5 pl-[4.75rem] text-large">
          {words}
        </p>
      ))}
    </section>
  );
}
