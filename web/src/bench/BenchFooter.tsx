import { useRef } from 'react';
import {
  ADDED_AGITATION,
  benchMoment,
  benchSteps,
  markedTimesS,
  type BenchEventKind,
  type BenchStep,
} from '@vendu/core';
import { useAppDispatch } from '../app/store';
import { useShortcut } from '../ui/useShortcut';
import { BenchButton } from './BenchButton';
import { benchScaleOf } from './benchScales';
import {
  eventNoted,
  eventTakenBack,
  goingPlan,
  markUndone,
  noteWritten,
  stepMarked,
  type BenchBrew,
} from './benchSlice';
import { stepWords } from './stepWords';

interface BenchFooterProps {
  brew: BenchBrew;
  isDark: boolean;
  onDark: () => void;
  isMuted: boolean;
  onMuted: () => void;
  /** Says aloud what was done. */
  onDone: (words: string) => void;
}

/** The big targets and the keys, for the brew they act on. */
export function BenchFooter({ brew, isDark, onDark, isMuted, onMuted, onDone }: BenchFooterProps) {
  const dispatch = useAppDispatch();
  const noteField = useRef<HTMLTextAreaElement>(null);
  const { key, run } = brew;
  const plan = goingPlan(brew);
  const steps = benchSteps(plan);
  const isStarted = run.marks.length > 0;
  const next = steps[run.marks.length] ?? null;
  const isDone = isStarted && next === null;
  const isRunning = isStarted && !isDone;

  function goOn(skipped = false) {
    if (next === null) return;
    const atMs = Date.now();
    dispatch(stepMarked({ key, atMs, skipped }));
    if (next.kind === 'pour') {
      const flowGps = plan.pours[next.pourNumber - 1]?.flowGps ?? 0;
      benchScaleOf(key)?.source.pour?.({ toTotalG: next.totalG, flowGps });
    }
    onDone(`${stepWords(next).doing} ${skipped ? 'left out' : 'marked'}`);
  }
  function note(kind: BenchEventKind, words: string) {
    const atS = benchMoment({ run, steps, nowMs: Date.now() }).elapsedS;
    const figure = kind === 'cup-changed' ? (benchScaleOf(key)?.snapshot().massG ?? null) : null;
    dispatch(eventNoted({ key, event: { kind, atS: Math.round(atS * 10) / 10, figure, text: words } }));
    onDone(`${words} marked`);
  }
  const undo = isStarted ? () => dispatch(undoOf(brew)) : null;
  const canSkip = isRunning && next?.kind === 'agitate';
  /** What is left before the end may be passed over once the water is in. */
  const canLift = isRunning && next !== null && next.kind !== 'pour';
  function lift() {
    for (const step of steps.slice(run.marks.length)) {
      dispatch(stepMarked({ key, atMs: Date.now(), skipped: step.kind !== 'drawdown' }));
    }
    onDone('Brewer lifted');
  }
  useShortcut(' ', isDone ? null : () => goOn());
  useShortcut('s', canSkip ? () => goOn(true) : null);
  useShortcut('u', undo);
  useShortcut('f', isRunning ? () => note('cup-changed', 'Cup changed') : null);
  useShortcut('w', isRunning ? () => note('agitated', ADDED_AGITATION.swirl) : null);
  useShortcut('t', isRunning ? () => note('agitated', ADDED_AGITATION.stir) : null);
  useShortcut('l', canLift ? lift : null);
  useShortcut('n', () => noteField.current?.focus());
  useShortcut('d', onDark);
  useShortcut('m', onMuted);
  return (
    <footer className="sticky bottom-0 mt-2 flex flex-wrap items-center gap-2 border-t border-ink bg-sheet px-6 py-2">
      {!isDone && (
        <BenchButton main shortcut="Space" onClick={() => goOn()}>
          {isStarted && next ? `${doingOf(next)} now` : 'Start with the first pour'}
        </BenchButton>
      )}
      {!isDone && (
        <BenchButton shortcut="S" disabled={!canSkip} onClick={() => goOn(true)}>
          Left out
        </BenchButton>
      )}
      <BenchButton shortcut="U" disabled={!undo} onClick={() => undo?.()}>
        Undo mark
      </BenchButton>
      {isRunning && (
        <>
          <BenchButton shortcut="F" onClick={() => note('cup-changed', 'Cup changed')}>
            Next cup
          </BenchButton>
          <BenchButton shortcut="W" onClick={() => note('agitated', ADDED_AGITATION.swirl)}>
            Swirled
          </BenchButton>
          <BenchButton shortcut="T" onClick={() => note('agitated', ADDED_AGITATION.stir)}>
            Stirred
          </BenchButton>
          <BenchButton shortcut="L" disabled={!canLift} onClick={lift}>
            Lifted
          </BenchButton>
        </>
      )}
      <textarea
        ref={noteField}
        aria-label="Note (N)"
        rows={1}
        value={brew.note}
        disabled={!isStarted}
        onChange={(event) => dispatch(noteWritten({ key, note: event.target.value }))}
        onKeyDown={(event) => event.key === 'Escape' && event.currentTarget.blur()}
        placeholder={
          isStarted
            ? 'N: note of level, bed, stream; Escape returns to the keys'
            : 'notes open when the clock runs'
        }
        className="h-12 min-w-60 grow resize-none rounded-edge border border-edge bg-raised px-3 py-3 text-body text-ink placeholder:text-quiet"
      />
      <BenchButton shortcut="M" aria-pressed={isMuted} onClick={onMuted}>
        {isMuted ? 'Sound off' : 'Sound on'}
      </BenchButton>
      <BenchButton shortcut="D" aria-pressed={isDark} onClick={onDark}>
        {isDark ? 'Light' : 'Dark'}
      </BenchButton>
    </footer>
  );
}

function doingOf(step: BenchStep): string {
  return stepWords(step).doing;
}

/** What a key wrote down, and a key may take back. */
const BY_HAND: readonly BenchEventKind[] = ['cup-changed', 'agitated', 'bed-shows', 'water-stands'];

/** Takes back what was marked last, a step or something beside the steps. */
function undoOf({ key, run, events }: BenchBrew) {
  const lastMarkS = markedTimesS(run).at(-1)?.atS ?? 0;
  const lastEvent = events.findLastIndex(({ kind }) => BY_HAND.includes(kind));
  const isEventLater = lastEvent >= 0 && (events[lastEvent]?.atS ?? 0) >= lastMarkS;
  return isEventLater ? eventTakenBack({ key, index: lastEvent }) : markUndone({ key });
}
