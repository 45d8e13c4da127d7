import { mean } from 'simple-statistics';
import { grouped } from '../statistics/grouped.js';
import { sharedShifts, type LotShift } from '../watch/sharedShifts.js';
import { sharedWords } from '../watch/watchWords.js';
import { counted, dayColumn, numberColumn, textColumn, type Report } from './report.js';

/** The last recheck of a public lot. */
export interface LastRecheck extends LotShift {
  lot: string;
  /** Calendar date. */
  on: string;
}

/** Whether lots moved together: those of one grinder by the grinder, all of them by the meter. */
export function grinderReport(rechecks: readonly LastRecheck[]): Report {
  const inOrder = rechecks.toSorted((a, b) => a.on.localeCompare(b.on));
  const shared = sharedShifts(rechecks);
  return {
    answer: shared.length > 0 ? shared.map(sharedWords).join(' ') : quiet(rechecks),
    remark:
      'Each dot is the last recheck of a public lot: how far its strength lay off what was proven there, in standard deviations of that proof. Dots of one grinder that lie together on one side are the grinder’s; all of them while drain times hold, the meter’s.',
    columns: [
      textColumn('grinder', 'Grinder'),
      textColumn('lot', 'Lot'),
      dayColumn('on', 'Brewed again'),
      numberColumn('byStrengthSd', 'Strength off by', 'sd', 1),
      numberColumn('byDrainSd', 'Drain time off by', 'sd', 1),
    ],
    rows: inOrder
      .toReversed()
      .toSorted((a, b) => a.grinder.localeCompare(b.grinder))
      .map(({ grinder, lot, lotId, on, byStrengthSd, byDrainSd }) => ({
        lotId,
        cells: { grinder, lot, on, byStrengthSd, byDrainSd },
      })),
    chart:
      inOrder.length === 0
        ? null
        : {
            kind: 'dots',
            x: 'day',
            quantity: 'strength',
            yLabel: 'strength off what was proven, sd',
            decimals: 1,
            points: inOrder.map(({ grinder, on, byStrengthSd }) => ({ x: on, y: byStrengthSd, of: grinder })),
            line: { y: 0, label: 'as proven' },
          },
  };
}

function quiet(rechecks: readonly LastRecheck[]): string {
  if (rechecks.length === 0) return 'No public lot was brewed again in this time.';
  const means = [...grouped(rechecks, ({ grinder }) => grinder)].map(
    ([grinder, own]) =>
      `${grinder} ${signed(mean(own.map(({ byStrengthSd }) => byStrengthSd)))} (${counted(own.length, 'lot')})`,
  );
  return `No grinder moved its lots together. On the mean, in standard deviations: ${means.join('; ')}.`;
}

const signed = (value: number) => `${value < 0 ? '−' : '+'}${Math.abs(value).toFixed(1)}`;
