import { useRef } from 'react';
import {
  benchSteps,
  modelledAgitation,
  pouredAtC,
  type AddedAgitation,
  type BenchStep,
  type BrewPlan,
  type Happening,
} from '@vendu/core';
import { useAppDispatch } from '../state/hooks';
import { useShortcut } from '../ui/useShortcut';
import { BenchButton } from './BenchButton';
import { benchScaleOf } from './benchScales';
import { goingPlan, noteOf, soFar, type BenchBrew } from './benchBrew';
import { brewTold, entryUndone, noteSettled, noteTyped, stepMarked } from './benchSlice';
import { stepWords } from './stepWords';
import { useKeysBack } from './useKeysBack';

const AGITATION_WORDS: Record<AddedAgitation, string> = { swirl: 'Swirl', stir: 'Stir' };

interface BenchFooterProps {
  brew: BenchBrew;
  /** Says aloud what was done. */
  onDone: (words: string) => void;
}

/** The big targets and the keys, for the brew they act on. */
export function BenchFooter({ brew, onDone }: BenchFooterProps) {
  const dispatch = useAppDispatch();
  const noteField = useRef<HTMLTextAreaElement>(null);
  const { key } = brew;
  const { run } = soFar(brew);
  const note = noteOf(brew);
  useKeysBack(noteField, note);
  const plan = goingPlan(brew);
  const steps = benchSteps(plan);
  const isStarted = run.marks.length > 0;
  const next = steps[run.marks.length] ?? null;
  const isDone = isStarted && next === null;
  const isRunning = isStarted && !isDone;

  function goOn(skipped = false) {
    if (next === null) return;
    dispatch(stepMarked({ key, skipped }));
    if (!skipped) tellStandIn(key, plan, next, brew.ground?.kit.ambientC);
    onDone(`${stepWords(next).doing} ${skipped ? 'skipped' : 'marked'}`);
  }
  function tell(happened: Happening, words: string) {
    dispatch(brewTold({ key, happened }));
    onDone(`${words} marked`);
  }
  function agitated(how: AddedAgitation) {
    tell({ kind: 'agitated', how }, AGITATION_WORDS[how]);
    benchScaleOf(key)?.source.agitate?.(how);
  }
  const changeCup = () =>
    tell({ kind: 'cup-changed', massG: benchScaleOf(key)?.snapshot().massG ?? null }, 'Cup changed');
  const undo = isStarted ? () => dispatch(entryUndone({ key })) : null;
  const canSkip = isRunning && next?.kind === 'agitate';
  /** What is left before the end may be passed over once the water is in. */
  const canLift = isRunning && next !== null && next.kind !== 'pour';
  function lift() {
    for (const step of steps.slice(run.marks.length)) {
      dispatch(stepMarked({ key, skipped: step.kind !== 'drawdown' }));
    }
    onDone('Brewer lifted');
  }
  useShortcut(' ', isDone ? null : () => goOn());
  useShortcut('s', canSkip ? () => goOn(true) : null);
  useShortcut('u', undo);
  useShortcut('f', isRunning ? changeCup : null);
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
          <BenchButton shortcut="F" onClick={changeCup}>
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
        value={note}
        disabled={!isStarted}
        onChange={(event) => dispatch(noteTyped({ key, note: event.target.value }))}
        onBlur={() => dispatch(noteSettled({ key }))}
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
function tellStandIn(key: string, plan: BrewPlan, step: BenchStep, roomC: number | undefined): void {
  const source = benchScaleOf(key)?.source;
  if (step.kind === 'agitate') source?.agitate?.(modelledAgitation(step.how));
  if (step.kind === 'pour') {
    source?.pour?.({
      toTotalG: step.totalG,
      flowGps: plan.pours[step.pourNumber - 1]?.flowGps ?? 0,
      kettleC: pouredAtC(plan, roomC)[step.pourNumber - 1] ?? plan.kettleC,
    });
  }
}
