import {
  conditionsOfPlan,
  normalDraw,
  isOnAim,
  planFaults,
  seededRandom,
  type BrewPlan,
  type Targets,
} from '@vendu/core';
import { syntheticLot, type SyntheticLab, type SyntheticLot } from './truth.js';

export type Setting = 'grind' | 'grind-and-more';

/** A lot, the cup it is meant to give, and a starting recipe that misses it. */
export interface Task {
  lot: SyntheticLot;
  targets: Readonly<Record<keyof Targets, number>>;
  /** The windows about it: what repeated brews of one recipe scatter over. */
  aim: Required<Targets>;
  start: BrewPlan;
}

/** Draws tasks until one's start lies outside the windows and both recipes drain. */
export function taskOf(lab: SyntheticLab, seed: number, setting: Setting): Task {
  for (let attempt = 0; ; attempt++) {
    const lot = syntheticLot(lab, seed * 1000 + attempt);
    const random = seededRandom(seed * 7919 + attempt);
    const between = (low: number, high: number) => low + random() * (high - low);
    const either = (value: number) => (random() < 0.5 ? value : -value);
    const hidden = planOf({
      doseG: Math.round(between(14, 21) * 2) / 2,
      ratio: between(15.5, 17),
      grindUm: Math.round(between(600, 850) / 10) * 10,
      kettleC: Math.round(between(90, 96)),
      mainPours: 1 + Math.floor(random() * 3),
      swirl: random() < 0.5,
    });
    const start = { ...hidden, grindUm: hidden.grindUm + either(Math.round(between(70, 200) / 10) * 10) };
    let started: BrewPlan = start;
    if (setting === 'grind-and-more') {
      started =
        random() < 0.5
          ? withRatio(start, either(between(0.5, 1.3)))
          : { ...start, kettleC: start.kettleC + either(Math.round(between(2, 6))) };
    }
    if (planFaults({ plan: started }).length > 0) continue;
    const [target, first] = [hidden, started].map((plan) =>
      lot.trueBrew(conditionsOfPlan({ plan, kit: lot.kit })),
    );
    if (!target?.drained || !first?.drained) continue;
    const targets = {
      tdsPercent: target.tdsPercent,
      yieldPercent: target.yieldPercent,
      drawdownS: target.drawdownS,
    };
    const task = { lot, targets, aim: aimAround(targets), start: started };
    if (!isThere(task, started)) return task;
  }
}

/** Whether a plan, brewed without any error, comes out inside every window. */
export function isThere({ lot, aim }: Task, plan: BrewPlan): boolean {
  return isOnAim(aim, lot.trueBrew(conditionsOfPlan({ plan, kit: lot.kit })));
}

function aimAround({ tdsPercent, yieldPercent, drawdownS }: Task['targets']): Required<Targets> {
  const about = (value: number, half: number) => ({ low: value - half, high: value + half });
  return {
    tdsPercent: about(tdsPercent, 0.05),
    yieldPercent: about(yieldPercent, 0.5),
    drawdownS: about(drawdownS, 12),
  };
}

function planOf({
  doseG,
  ratio,
  grindUm,
  kettleC,
  mainPours,
  swirl,
}: {
  doseG: number;
  ratio: number;
  grindUm: number;
  kettleC: number;
  mainPours: number;
  swirl: boolean;
}): BrewPlan {
  const waterG = Math.round(doseG * ratio);
  const bloomG = Math.round(doseG * 3);
  const flowGps = 6;
  const each = Math.round((waterG - bloomG) / mainPours);
  const everyS = Math.max(35, Math.ceil((each / flowGps + 12) / 5) * 5);
  return {
    doseG,
    kettleC,
    grindUm,
    drawdownS: 600,
    pours: [
      { startS: 0, amountG: bloomG, flowGps, agitation: swirl ? 'swirl' : 'none', isBloom: true },
      ...Array.from({ length: mainPours }, (_, index) => ({
        startS: 40 + index * everyS,
        amountG: index === mainPours - 1 ? waterG - bloomG - each * (mainPours - 1) : each,
        flowGps,
        agitation: 'none' as const,
        isBloom: false,
      })),
    ],
  };
}

function withRatio(plan: BrewPlan, by: number): BrewPlan {
  const [bloom, ...main] = plan.pours;
  if (!bloom) return plan;
  const mainG = main.reduce((sum, { amountG }) => sum + amountG, 0);
  const share = (mainG + by * plan.doseG) / mainG;
  return {
    ...plan,
    pours: [bloom, ...main.map((pour) => ({ ...pour, amountG: Math.round(pour.amountG * share) }))],
  };
}

/** A stream of hand errors that is the same for every strategy on a lot. */
export function handOf(seed: number): () => number {
  const random = seededRandom(seed * 104_729 + 1);
  normalDraw(random, { mean: 0, sd: 1 });
  return random;
}
