import { useRef } from 'react';
import {
  ADDED_AGITATION,
  benchMoment,
  benchSteps,
  markedTimesS,
  pourKettlesC,
  type BenchEventKind,
  type BenchStep,
  type BrewPlan,
} from '@vendu/core';
import { useAppDispatch } from '../app/store';
import { useShortcut } from '../ui/useShortcut';
import { brewNowMs } from '../app/brewClock';
import { BenchButton } from './BenchButton';
import { benchScaleOf } from './benchScales';
import type { BenchBrew } from './benchBrew';
import { eventNoted, eventTakenBack, goingPlan, markUndone, noteWritten, stepMarked } from './benchSlice';
import { stepWords } from './stepWords';
import { useKeysBack } from './useKeysBack';

interface BenchFooterProps {
  brew: BenchBrew;
  /** Says aloud what was done. */
  onDone: (words: string) => void;
}

/** The big targets and the keys, for the brew they act on. */
export function BenchFooter({ brew, onDone }: BenchFooterProps) {
  const dispatch = useAppDispatch();
  const noteField = useRef<HTMLTextAreaElement>(null);
  const { key, run, note: written } = brew;
  useKeysBack(noteField, written);
  const plan = goingPlan(brew);
  const steps = benchSteps(plan);
  const isStarted = run.marks.length > 0;
  const next = steps[run.marks.length] ?? null;
  const isDone = isStarted && next === null;
  const isRunning = isStarted && !isDone;

  function goOn(skipped = false) {
    if (next === null) return;
    const atMs = brewNowMs();
    dispatch(stepMarked({ key, atMs, skipped }));
    if (!skipped) tellStandIn(key, plan, next);
    onDone(`${stepWords(next).doing} ${skipped ? 'skipped' : 'marked'}`);
  }
  function note(kind: BenchEventKind, words: string) {
    const atS = benchMoment({ run, steps, nowMs: brewNowMs() }).elapsedS;
    const figure = kind === 'cup-changed' ? (benchScaleOf(key)?.snapshot().massG ?? null) : null;
    dispatch(eventNoted({ key, event: { kind, atS: Math.round(atS * 10) / 10, figure, text: words } }));
    onDone(`${words} marked`);
  }
  function agitated(kind: keyof typeof ADDED_AGITATION) {
    note('agitated', ADDED_AGITATION[kind]);
    benchScaleOf(key)?.source.agitate?.(kind);
  }
  const undo = isStarted ? () => dispatch(undoOf(brew)) : null;
  const canSkip = isRunning && next?.kind === 'agitate';
  /** What is left before the end may be passed over once the water is in. */
  const canLift = isRunning && next !== null && next.kind !== 'pour';
  function lift() {
    for (const step of steps.slice(run.marks.length)) {
      dispatch(stepMarked({ key, atMs: brewNowMs(), skipped: step.kind !== 'drawdown' }));
    }
    onDone('Brewer lifted');
  }
  useShortcut(' ', isDone ? null : () => goOn());
  useShortcut('s', canSkip ? () => goOn(true) : null);
  useShortcut('u', undo);
  useShortcut('f', isRunning ? () => note('cup-changed', 'Cup changed') : null);
  useShortcut('w', isRunning ? () => agitated('swirl') : null);
  useShortcut('t', isRunning ? () => agitated('stir') : null);
  useShortcut('l', canLift ? lift : null);
  useShortcut('n', () => noteField.current?.focus());
  return (
    <footer className="sticky bottom-0 mt-2 flex flex-wrap items-center gap-2 border-t border-ink bg-sheet px-6 py-2 max-sm:grid max-sm:grid-cols-3 max-sm:gap-1 max-sm:px-4 max-sm:py-1">
      {!isDone && (
        <BenchButton main shortcut="Space" onClick={() => goOn()}>
          {isStarted && next ? `${doingOf(next)} now` : 'Start with the first pour'}
        </BenchButton>
      )}
      {isRunning && (
        <BenchButton shortcut="S" disabled={!canSkip} onClick={() => goOn(true)}>
          Skip
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
          <BenchButton shortcut="W" onClick={() => agitated('swirl')}>
            Swirled
          </BenchButton>
          <BenchButton shortcut="T" onClick={() => agitated('stir')}>
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
        onKeyDown={(event) => {
          if (event.key !== 'Escape' && (event.key !== 'Enter' || event.shiftKey)) return;
          event.preventDefault();
          event.currentTarget.blur();
        }}
        placeholder={isStarted ? 'N: note; Enter saves it' : 'notes: once the clock runs'}
        className="h-12 min-w-44 grow max-sm:col-span-full resize-none rounded-edge border border-edge bg-raised px-3 py-3 text-body text-ink placeholder:text-quiet"
      />
    </footer>
  );
}

function doingOf(step: BenchStep): string {
  return stepWords(step).doing;
}

/** A stand-in under the brewer does what is marked; a real scale feels it. */
function tellStandIn(key: string, plan: BrewPlan, step: BenchStep): void {
  const source = benchScaleOf(key)?.source;
  if (step.kind === 'agitate') source?.agitate?.(step.how);
  if (step.kind === 'pour') {
    source?.pour?.({
      toTotalG: step.totalG,
      flowGps: plan.pours[step.pourNumber - 1]?.flowGps ?? 0,
      kettleC: pourKettlesC(plan)[step.pourNumber - 1] ?? plan.kettleC,
    });
  }
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
