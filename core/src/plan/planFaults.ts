import { formatDuration } from '../quantity/duration.js';
import { cupMark, cupMarks, cupScheduleFault, cupUnit } from './cupSchedule.js';
import { grindingOf, LEAST_APART_UM, LEAST_LEFT_SHARE } from './grinding.js';
import { cupsEnd, planWaterG, pourEndS, type BrewPlan } from './plan.js';
import { throughRegulator } from './regulator.js';

export type PlanFaultReason =
  | 'no-pours'
  | 'first-start-not-zero'
  | 'pours-run-backwards'
  | 'pours-overlap'
  | 'bloom-not-first'
  | 'first-waits'
  | 'drawdown-before-last-pour'
  | 'kettle-above-boiling'
  | 'regulator-too-slow'
  | 'two-on-top'
  | 'no-tail'
  | 'cups-not-followed'
  | 'cup-after-the-end'
  | 'ball-after-the-end'
  | 'lid-cools-no-pour'
  | 'grinds-alike'
  | 'sieve-takes-too-much';

/** Why a plan cannot be brewed as written. `field` is the path in the plan, as in `pours.1.startS`. */
export interface PlanFault {
  reason: PlanFaultReason;
  field: string;
  message: string;
}

/**
 * Everything that makes a plan impossible, in the plan's order; empty for a sound plan. Figures are
 * taken to be in range on their own; this checks how they fit each other.
 *
 * @param boilingC - boiling point at the lab; left out where the elevation is unknown
 */
export function planFaults({ plan, boilingC }: { plan: BrewPlan; boilingC?: number }): PlanFault[] {
  const faults: PlanFault[] = [];
  const { pours } = plan;
  const [first] = pours;
  if (first === undefined) {
    return [{ reason: 'no-pours', field: 'pours', message: 'A plan needs at least one pour.' }];
  }
  if (first.startS !== 0) {
    faults.push({
      reason: 'first-start-not-zero',
      field: 'pours.0.startS',
      message: 'The first pour starts the clock, at 0:00.',
    });
  }
  if (first.startsWhen !== undefined) {
    faults.push({
      reason: 'first-waits',
      field: 'pours.0.startsWhen',
      message: 'The first pour starts the clock; nothing is in the bed for it to wait for.',
    });
  }
  pours.forEach((pour, index) => {
    const before = pours[index - 1];
    if (before === undefined) return;
    const field = `pours.${index}.startS`;
    if (pour.isBloom) {
      faults.push({
        reason: 'bloom-not-first',
        field: `pours.${index}.isBloom`,
        message: 'Only the first pour can be the bloom.',
      });
    }
    if (pour.startS <= before.startS) {
      faults.push({
        reason: 'pours-run-backwards',
        field,
        message: `Pour ${index + 1} must start after pour ${index}, later than ${formatDuration(before.startS)}.`,
      });
    } else if (pour.startS < Math.floor(pourEndS(before))) {
      faults.push({
        reason: 'pours-overlap',
        field,
        message: `Pour ${index} still runs until ${formatDuration(pourEndS(before))}; start pour ${index + 1} then or later, or pour faster.`,
      });
    }
  });
  const lastEndS = Math.max(...pours.map(pourEndS));
  // A brew may be over with its last pour: a continuous one that drains as it runs.
  if (plan.drawdownS < Math.floor(lastEndS)) {
    faults.push({
      reason: 'drawdown-before-last-pour',
      field: 'drawdownS',
      message: `The last pour ends at ${formatDuration(lastEndS)}; the drawdown must not end before.`,
    });
  }
  const throughS = plan.regulatorGps === undefined ? null : lastThroughS(pours, plan.regulatorGps);
  if (throughS !== null && plan.drawdownS < Math.floor(throughS) && plan.drawdownS >= Math.floor(lastEndS)) {
    faults.push({
      reason: 'regulator-too-slow',
      field: 'regulatorGps',
      message: `At ${plan.regulatorGps} g/s the regulator has let ${planWaterG(plan)} g through at ${formatDuration(throughS)}; the drawdown must not end before.`,
    });
  }
  if (plan.regulatorGps !== undefined && plan.showerPlate) {
    faults.push({
      reason: 'two-on-top',
      field: 'showerPlate',
      message: 'A flow regulator and a shower plate do not fit on one brewer; take one of them off.',
    });
  }
  if (plan.tailApart && !plan.lifts) {
    faults.push({
      reason: 'no-tail',
      field: 'tailApart',
      message: 'Only a brewer that is lifted off leaves a tail; lift it at the end, or drop the cup for it.',
    });
  }
  faults.push(...cupFaults(plan));
  if (plan.ballUntilS !== undefined && plan.ballUntilS >= plan.drawdownS) {
    faults.push({
      reason: 'ball-after-the-end',
      field: 'ballUntilS',
      message: `The chilled ball is taken away before ${formatDuration(plan.drawdownS)}, when the brew ends.`,
    });
  }
  const lastStartS = pours.at(-1)?.startS ?? 0;
  if (plan.lidOpensS !== undefined && plan.lidOpensS >= lastStartS) {
    faults.push({
      reason: 'lid-cools-no-pour',
      field: 'lidOpensS',
      message: `The last pour starts at ${formatDuration(lastStartS)}; open the lid before, or nothing is poured cooler.`,
    });
  }
  faults.push(...grindingFaults(plan));
  return boilingC === undefined ? faults : [...faults, ...kettleFaults(plan, boilingC)];
}

function cupFaults(plan: BrewPlan): PlanFault[] {
  if (plan.cups === undefined) return [];
  const amiss = cupScheduleFault(plan.cups);
  if (amiss) return [{ reason: 'cups-not-followed', field: 'cups', message: amiss.message }];
  const unit = cupUnit(plan.cups);
  const end = cupsEnd(plan, unit);
  const isEven = plan.cups.kind === 'time' || plan.cups.kind === 'mass';
  const inside = cupMarks(plan.cups, end).length;
  // An even schedule goes on for as long as the brew does.
  if (inside > 0 && (isEven || cupMark(plan.cups, inside) === null)) return [];
  const ends = unit === 's' ? `the brew ends at ${formatDuration(end)}` : `${end} g are poured in all`;
  return [
    {
      reason: 'cup-after-the-end',
      field: 'cups',
      message: `Every change of cups comes before the end: ${ends}.`,
    },
  ];
}

function grindingFaults(plan: BrewPlan): PlanFault[] {
  const { grindUm, secondGrind, sieveUm } = plan;
  const faults: PlanFault[] = [];
  if (secondGrind !== undefined && Math.abs(secondGrind.grindUm - grindUm) < LEAST_APART_UM) {
    faults.push({
      reason: 'grinds-alike',
      field: 'secondGrind.grindUm',
      message: `A grinder tells ${grindUm} and ${secondGrind.grindUm} µm hardly apart; take a second grind ${LEAST_APART_UM} µm away or more, or none.`,
    });
  }
  const { leftShare } = grindingOf(plan);
  if (sieveUm !== undefined && leftShare < LEAST_LEFT_SHARE) {
    faults.push({
      reason: 'sieve-takes-too-much',
      field: 'sieveUm',
      message: `Holes of ${sieveUm} µm let ${Math.round((1 - leftShare) * 100)} % of this grind through; take a finer sieve.`,
    });
  }
  return faults;
}

function lastThroughS(pours: BrewPlan['pours'], regulatorGps: number): number {
  return throughRegulator(pours, regulatorGps).at(-1)?.endS ?? 0;
}

function kettleFaults({ kettleC, pours }: BrewPlan, boilingC: number): PlanFault[] {
  const kettles = [
    { field: 'kettleC', atC: kettleC },
    ...pours.map((pour, index) => ({ field: `pours.${index}.kettleC`, atC: pour.kettleC ?? 0 })),
  ];
  return kettles
    .filter(({ atC }) => atC > boilingC)
    .map(({ field }) => ({
      reason: 'kettle-above-boiling',
      field,
      message: `Water boils at ${boilingC.toFixed(1)} °C at the lab's elevation; set the kettle to ${Math.floor(boilingC)} °C or less.`,
    }));
}
