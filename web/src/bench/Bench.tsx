import { useRef, useState } from 'react';
import { Link } from 'react-router';
import {
  actualStaircase,
  benchMoment,
  benchSteps,
  formatClock,
  formatDuration,
  formatRatio,
  markedTimesS,
  planRatio,
  type BenchStep,
  type StepDone,
} from '@vendu/core';
import { useDraft } from '../app/draft';
import { useAppDispatch } from '../app/store';
import { FittedStaircase } from '../staircase/FittedStaircase';
import { classes } from '../ui/classes';
import { useShortcut } from '../ui/useShortcut';
import { BenchButton } from './BenchButton';
import { markUndone, noteWritten, stepMarked, type BenchBrew } from './benchSlice';
import { Finish } from './Finish';
import { Preparation } from './Preparation';
import { StepList } from './StepList';
import { stepWords } from './stepWords';
import { useAnnouncer } from './useAnnouncer';
import { useNow } from './useNow';

/** The flash begins this long before a step is due, s. */
const FLASH_AHEAD_S = 3;

interface BenchProps {
  brew: BenchBrew;
  /** Lays the brew out and starts it; left out once it lies on the bench. */
  onStart?: (atMs: number) => void;
}

/** The brew running: one clock, one next instruction, the plan with what was done growing over it. */
export function Bench({ brew, onStart }: BenchProps) {
  const dispatch = useAppDispatch();
  const steps = benchSteps(brew.plan);
  const isStarted = brew.run.marks.length > 0;
  const isDone = brew.run.marks.length >= steps.length;
  const nowMs = useNow(isStarted && !isDone ? 100 : null);
  const moment = benchMoment({
    run: brew.run,
    steps,
    nowMs: Math.max(nowMs, brew.run.marks.at(-1)?.atMs ?? 0),
  });
  const [isDark, setDark] = useDraft('bench.dark', false);
  const [isMuted, setMuted] = useDraft('bench.muted', false);
  const noteField = useRef<HTMLTextAreaElement>(null);
  const [announced, setAnnounced] = useState('');
  useAnnouncer({ dueInS: moment.dueInS, stepIndex: brew.run.marks.length, isMuted });

  const done = doneSteps(brew);
  function goOn(skipped = false) {
    if (moment.phase === 'done') return;
    // A brew whose first mark was taken back lies on the bench already: marking starts it again.
    if (onStart) onStart(Date.now());
    else dispatch(stepMarked({ atMs: Date.now(), skipped }));
    if (moment.next) setAnnounced(`${stepWords(moment.next).doing} ${skipped ? 'left out' : 'marked'}`);
  }
  const undo = isStarted ? () => dispatch(markUndone()) : null;
  const canSkip = isStarted && moment.next?.kind === 'agitate';
  useShortcut(' ', moment.phase === 'done' ? null : () => goOn());
  useShortcut('s', canSkip ? () => goOn(true) : null);
  useShortcut('u', undo);
  useShortcut('n', () => noteField.current?.focus());
  useShortcut('d', () => setDark(!isDark));
  useShortcut('m', () => setMuted(!isMuted));

  const isFlashing = moment.dueInS !== null && moment.dueInS <= FLASH_AHEAD_S && moment.phase === 'running';
  return (
    <main data-theme={isDark ? 'dark' : 'light'} className="flex min-h-dvh flex-col bg-sheet text-ink">
      <header className="flex items-baseline gap-5 border-b border-ink px-6 py-2">
        <Link
          to={`/recipes/${brew.recipeId}`}
          className="text-small whitespace-nowrap underline underline-offset-3"
        >
          Leave, the clock goes on
        </Link>
        <h1 className="min-w-0 truncate text-large font-bold" title={brew.lotName}>
          {brew.lotName}
        </h1>
        <span className="text-small whitespace-nowrap text-quiet">
          {brew.brewerName}, version {brew.versionNumber}
        </span>
        <span className="reading ml-auto flex shrink-0 gap-6 text-large whitespace-nowrap">
          <span className="text-water">
            {brew.plan.doseG} g {formatRatio(planRatio(brew.plan))}
          </span>
          <span className="text-temperature">{brew.plan.kettleC} °C</span>
          <span>
            {brew.grinderSetting === null ? `${brew.plan.grindUm} µm` : `grind ${brew.grinderSetting}`}
          </span>
        </span>
      </header>

      <div className="grid grow gap-x-8 px-6 pt-4 lg:grid-cols-[minmax(0,11fr)_minmax(0,10fr)]">
        <section className="flex flex-col">
          <div
            role="timer"
            aria-label="Brew clock"
            className="reading text-[clamp(6rem,17vw,14.5rem)] leading-[0.9] font-semibold tracking-[-0.02em] text-time"
          >
            {formatClock(moment.elapsedS)}
          </div>
          {moment.phase === 'done' ? (
            <Finish brew={brew} done={done} />
          ) : (
            moment.next && (
              <Instruction
                next={moment.next}
                dueInS={moment.dueInS}
                isFlashing={isFlashing}
                current={moment.current}
              />
            )
          )}
        </section>
        <section className="flex min-w-0 flex-col gap-4">
          <FittedStaircase
            plan={brew.plan}
            height={300}
            actual={
              isStarted ? actualStaircase({ plan: brew.plan, done, untilS: moment.elapsedS }) : undefined
            }
            nowS={moment.phase === 'running' ? moment.elapsedS : undefined}
            label="The plan as a staircase, with what was marked drawn over it"
          />
          {isStarted ? <StepList brew={brew} done={done} /> : <Preparation brew={brew} />}
        </section>
      </div>

      <footer className="flex items-end gap-3 border-t border-ink px-6 py-3">
        {moment.phase !== 'done' && (
          <BenchButton main shortcut="Space" onClick={() => goOn()}>
            {isStarted && moment.next ? `${stepWords(moment.next).doing} now` : 'Start with the first pour'}
          </BenchButton>
        )}
        {moment.phase !== 'done' && (
          <BenchButton shortcut="S" disabled={!canSkip} onClick={() => goOn(true)}>
            Left out
          </BenchButton>
        )}
        <BenchButton shortcut="U" disabled={!undo} onClick={() => undo?.()}>
          Undo mark
        </BenchButton>
        <label className="flex grow flex-col text-tiny text-quiet">
          Note (N)
          <textarea
            ref={noteField}
            rows={1}
            value={brew.note}
            disabled={!isStarted}
            onChange={(event) => dispatch(noteWritten(event.target.value))}
            onKeyDown={(event) => event.key === 'Escape' && event.currentTarget.blur()}
            placeholder={
              isStarted ? 'level, bed, stream; Escape returns to the keys' : 'opens when the clock runs'
            }
            className="h-12 resize-none rounded-edge border border-edge bg-raised px-3 py-3 text-body text-ink placeholder:text-quiet"
          />
        </label>
        <BenchButton shortcut="M" aria-pressed={isMuted} onClick={() => setMuted(!isMuted)}>
          {isMuted ? 'Sound off' : 'Sound on'}
        </BenchButton>
        <BenchButton shortcut="D" aria-pressed={isDark} onClick={() => setDark(!isDark)}>
          {isDark ? 'Light' : 'Dark'}
        </BenchButton>
      </footer>
      <p role="status" className="sr-only">
        {announced}
      </p>
    </main>
  );
}

function Instruction({
  next,
  dueInS,
  isFlashing,
  current,
}: {
  next: BenchStep;
  dueInS: number | null;
  isFlashing: boolean;
  current: BenchStep | null;
}) {
  const { doing, figure } = stepWords(next);
  return (
    <div
      className={classes(
        'mt-4 grow border-t-4 pt-3',
        isFlashing ? 'border-alarm bg-ink px-4 text-sheet' : 'border-ink',
      )}
    >
      <p className="text-large">
        {dueInS === null ? 'First' : dueInS >= 0 ? 'Next' : 'Due'}
        {current && <span className="opacity-75"> (now: {stepWords(current).doing.toLowerCase()})</span>}
      </p>
      <p className="flex flex-wrap items-baseline gap-x-6 text-[clamp(2.5rem,5.6vw,5rem)] leading-tight font-bold">
        {doing}
        {figure && (
          <span className={classes('reading', !isFlashing && 'text-water')}>
            <span className="text-[0.55em] font-normal">to </span>
            {figure}
          </span>
        )}
      </p>
      {dueInS !== null && (
        <p className="reading text-[clamp(2.5rem,5.6vw,5rem)] leading-tight font-semibold">
          {dueInS >= 0 ? `in ${Math.ceil(dueInS)} s` : `late ${Math.floor(-dueInS)} s`}
        </p>
      )}
      <p className="reading mt-2 text-title">
        {next.kind === 'pour' && <span className="mr-6">+{next.amountG} g</span>}
        at {formatDuration(next.plannedS)}
      </p>
    </div>
  );
}

/** The marks with the totals written down beside them, as the record keeps them. */
function doneSteps(brew: BenchBrew): StepDone[] {
  return markedTimesS(brew.run).map((mark) => ({
    ...mark,
    // A tenth of a second is finer than any hand.
    atS: Math.round(mark.atS * 10) / 10,
    totalG: brew.totalsG[mark.stepIndex] ?? null,
  }));
}
