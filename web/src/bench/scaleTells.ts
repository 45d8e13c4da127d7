import { benchSteps, totalsFromTrace, type Happening, type Trace } from '@vendu/core';
import { brewNowMs } from '../device/brewClock';
import { goingPlan, soFar, type BenchBrew } from './benchBrew';
import type { ScaleView } from './benchScale';
import { benchScaleOf, onScaleHeard } from './benchScales';
import { brewTold } from './benchSlice';

/**
 * What the scale under everything tells of a running brew that its log does not say yet: the total of a pour that is
 * in, that it fell silent, that it is back.
 *
 * @param trace - on the clock of the brew
 */
export function toldByScale(
  brew: BenchBrew,
  { status, name }: Pick<ScaleView, 'status' | 'name'>,
  trace: Trace,
  nowMs: number,
): Happening[] {
  const { run, steps } = soFar(brew);
  const startMs = run.marks[0]?.atMs;
  const planned = benchSteps(brew.plan);
  if (startMs === undefined) return [];
  const tells: Happening[] = [];
  const unread = steps.filter(
    ({ stepIndex, totalG, skipped }) => planned[stepIndex]?.kind === 'pour' && totalG === null && !skipped,
  );
  if (unread.length > 0) {
    const endMs = run.marks.length < planned.length ? nowMs : (run.marks.at(-1)?.atMs ?? nowMs);
    const read = totalsFromTrace({ plan: goingPlan(brew), done: steps, trace, nowMs: endMs - startMs });
    for (const { stepIndex } of unread) {
      const totalG = read[stepIndex];
      if (totalG !== undefined) tells.push({ kind: 'total-read', stepIndex, totalG });
    }
  }
  // A scale that falls silent in the middle is part of what happened.
  const wasLost = isLost(brew);
  if (run.marks.length < planned.length && status === 'silent' && !wasLost) {
    tells.push({ kind: 'scale-lost', scale: name });
  }
  if (status === 'reading' && wasLost) tells.push({ kind: 'scale-back', scale: name });
  return tells;
}

function isLost({ log }: BenchBrew): boolean {
  return log.findLast(({ kind }) => kind === 'scale-lost' || kind === 'scale-back')?.kind === 'scale-lost';
}

/** Lets the scales write into the logs of their brews, whatever page is open. */
export function letScalesTell(
  brews: () => readonly BenchBrew[],
  tell: (told: ReturnType<typeof brewTold>) => void,
): void {
  onScaleHeard((key) => {
    const brew = brews().find((each) => each.key === key);
    const scale = benchScaleOf(key);
    const startMs = brew && soFar(brew).run.marks[0]?.atMs;
    if (!brew || !scale || startMs === undefined) return;
    for (const happened of toldByScale(brew, scale.snapshot(), scale.traceFrom(startMs), brewNowMs())) {
      tell(brewTold({ key, happened }));
    }
  });
}
