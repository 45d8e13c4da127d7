import {
  calibrateLot,
  conditionsOfPlan,
  forgiveness,
  proposeChange,
  valueOf,
  type MeasuredBrew,
} from '@vendu/core';
import { fixed, percentile, table, timesOf } from './report.js';
import { handOf, LIMITS, taskOf } from './brewsToTarget/task.js';
import { brewByHand } from './truths/hand.js';

/** Calibration, one proposal and a forgiveness run on a lot of the study. */
export function heavyTasks(): string {
  const task = taskOf('varied', 13);
  const { kit } = task.lot;
  const random = handOf(3);
  const brews: MeasuredBrew[] = [0, -60, 40, 90, -30].map((byUm) =>
    brewByHand(task.lot, { ...task.start, grindUm: 720 + byUm }, random),
  );
  const calibrations = [1, 3, 5].map((count) => ({
    name: `calibration on ${count} brew${count > 1 ? 's' : ''}`,
    times: timesOf(() => valueOf(calibrateLot({ brews: brews.slice(0, count) })), { warmUps: 3, runs: 15 }),
    asked: count === 5 ? 'under 300 ms' : '',
  }));
  const calibration = valueOf(calibrateLot({ brews: brews.slice(0, 3) }));
  const question = { plan: task.start, kit, calibration, targets: task.targets, limits: LIMITS };
  const plan = { ...task.start, drawdownS: 600 };
  const before = process.memoryUsage().heapUsed;
  let most = before;
  const forgiven = timesOf(
    () => {
      valueOf(forgiveness({ plan, kit, factors: calibration.factors }));
      most = Math.max(most, process.memoryUsage().heapUsed);
    },
    { warmUps: 1, runs: 8 },
  );
  const rows = [
    ...calibrations,
    {
      name: 'one proposal, all levers',
      times: timesOf(() => valueOf(proposeChange(question)), { warmUps: 2, runs: 10 }),
      asked: '',
    },
    {
      name: `forgiveness, 500 brews and 240 for the causes (heap grew by ${fixed((most - before) / 1e6, 0)} MB)`,
      times: forgiven,
      asked: 'under 700 ms, 100 MB',
    },
  ].map(({ name, times, asked }) => [
    name,
    fixed(percentile(times, 0.5), 0),
    fixed(percentile(times, 0.9), 0),
    asked,
  ]);
  return [
    '## Calibration, proposal, forgiveness',
    '',
    `A brew of ${conditionsOfPlan({ plan, kit }).pours.length} pours; one core.`,
    '',
    table(['task', 'median ms', '90 % ms', 'asked'], rows),
  ].join('\n');
}
