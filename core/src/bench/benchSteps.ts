import { endWords } from '../plan/endWords.js';
import { formatDuration } from '../quantity/duration.js';
import { conditionWords } from '../plan/agitating.js';
import { pouringWords, startWords } from '../plan/pouringWords.js';
import { pourEndS, pourKettlesC, runningTotalsG, type BrewPlan } from '../plan/plan.js';
import type { Agitating } from '../vocabulary.js';

/** One thing to do at the bench, in the order of doing. */
export type BenchStep =
  | {
      kind: 'pour';
      pourNumber: number;
      isBloom: boolean;
      plannedS: number;
      endS: number;
      amountG: number;
      totalG: number;
      /** Set the kettle to this before the pour, C; `null` where it stays. */
      newKettleC: number | null;
      /** Where the stream goes and from how high, in words; `null` where the plan does not mind. */
      pouring: string | null;
      /** What it waits for, in words; `null` where it starts by the clock. The planned start is then what to expect. */
      waitsFor: string | null;
    }
  | {
      kind: 'agitate';
      how: Agitating;
      pourNumber: number;
      plannedS: number;
      /** How often; `null` where the plan leaves it to the hand. */
      times: number | null;
      isHard: boolean;
      /** When it is done at all, in words; `null` where it always is. */
      onlyIf: string | null;
    }
  | { kind: 'remove-ball'; plannedS: number }
  | { kind: 'open-lid'; plannedS: number }
  /** On plan from its planned moment until this one, s. */
  | { kind: 'drawdown'; plannedS: number; untilS: number; lifts: boolean; tailApart: boolean };

/**
 * The plan as a list of instructions. Agitation comes as a step of its own, at the end of its pour,
 * because a swirl left out is the commonest difference between the card and the brew.
 */
export function benchSteps(plan: BrewPlan): BenchStep[] {
  const totals = runningTotalsG(plan);
  const kettlesC = pourKettlesC(plan);
  const steps = plan.pours.flatMap((pour, index): BenchStep[] => {
    const endS = pourEndS(pour);
    const poured: BenchStep = {
      kind: 'pour',
      pourNumber: index + 1,
      isBloom: pour.isBloom,
      plannedS: pour.startS,
      endS,
      amountG: pour.amountG,
      totalG: totals[index] ?? 0,
      newKettleC: changedKettleC(kettlesC, index),
      pouring: pouringWords(pour),
      waitsFor: startWords(pour),
    };
    if (pour.agitation === 'none') return [poured];
    return [
      poured,
      {
        kind: 'agitate',
        how: pour.agitation,
        pourNumber: index + 1,
        plannedS: Math.ceil(endS),
        times: pour.agitationHow?.times ?? null,
        isHard: pour.agitationHow?.isHard ?? false,
        onlyIf: conditionWords(pour.agitationHow ?? {}),
      },
    ];
  });
  return [
    ...withStepAt(withStepAt(steps, 'remove-ball', plan.ballUntilS), 'open-lid', plan.lidOpensS),
    {
      kind: 'drawdown',
      plannedS: plan.drawdownS,
      untilS: plan.drawdownS + (plan.endWithinS ?? 0),
      lifts: plan.lifts ?? false,
      tailApart: plan.tailApart ?? false,
    },
  ];
}

/** What a step goes by where it is not the clock, in words: its time is then what to expect. `null` for one by the clock. */
export function callsFor(step: BenchStep): string | null {
  if (step.kind === 'pour') return step.waitsFor;
  return step.kind === 'agitate' ? step.onlyIf : null;
}

/** How late a step is that was done at a moment, s: early below 0, and 0 within its window. `null` for what no clock calls. */
export function latenessS(step: BenchStep, doneS: number): number | null {
  if (callsFor(step) !== null) return null;
  const untilS = step.kind === 'drawdown' ? step.untilS : step.plannedS;
  return Math.min(0, doneS - step.plannedS) + Math.max(0, doneS - untilS);
}

/** When a step is due, as it is said at the bench. */
export function dueWords(step: BenchStep): string {
  const from = formatDuration(step.plannedS);
  if (callsFor(step) !== null) return `about ${from}`;
  if (step.kind !== 'drawdown') return from;
  return endWords({ drawdownS: step.plannedS, endWithinS: step.untilS - step.plannedS });
}

function changedKettleC(kettlesC: readonly number[], index: number): number | null {
  const ownC = kettlesC[index] ?? 0;
  return index > 0 && ownC !== kettlesC[index - 1] ? ownC : null;
}

/** What has a time of its own is done between the steps of the pours, wherever that time falls; never before the first. */
function withStepAt(
  steps: readonly BenchStep[],
  kind: 'remove-ball' | 'open-lid',
  plannedS: number | undefined,
): BenchStep[] {
  if (plannedS === undefined) return [...steps];
  const later = steps.findIndex((step, index) => index > 0 && step.plannedS > plannedS);
  const at = later === -1 ? steps.length : later;
  return [...steps.slice(0, at), { kind, plannedS }, ...steps.slice(at)];
}
