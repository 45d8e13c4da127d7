import type { TasterHabit } from '../tasting/tasterHistory.js';
import { counted, numberColumn, textColumn, type Report } from './report.js';

export interface TasterRead {
  name: string;
  /** Written before another's was seen. */
  sheets: number;
  habits: readonly TasterHabit[];
}

/** How each taster reads beside the others at the same cups. */
export function tasterReport(tasters: readonly TasterRead[]): Report {
  const read = tasters.flatMap(({ name, sheets, habits }) =>
    habits.map((habit) => ({ name, sheets, ...habit })),
  );
  const habits = read.filter(({ isHabit }) => isHabit);
  const largest = habits.toSorted((a, b) => Math.abs(b.byPoints) - Math.abs(a.byPoints))[0];
  const sheets = tasters.reduce((sum, each) => sum + each.sheets, 0);
  return {
    answer:
      sheets === 0
        ? 'No sheet was written before another’s was seen.'
        : largest === undefined
          ? `No taster reads an attribute otherwise than the rest, as far as ${counted(sheets, 'sheet')} of ${counted(tasters.length, 'taster')} can tell.`
          : `${largest.name} reads ${largest.attribute} ${Math.abs(largest.byPoints).toFixed(1)} points ${largest.byPoints > 0 ? 'higher' : 'lower'} than the rest (${counted(largest.brews, 'brew')}). ${counted(habits.length, 'habit')} in all.`,
    remark:
      'Beside the mean of the others at the same cup and stage, of sheets written before another’s was seen, whenever that was. It says how somebody reads and not who is right.',
    columns: [
      textColumn('name', 'Taster'),
      textColumn('attribute', 'Attribute'),
      numberColumn('byPoints', 'Reads by', 'points', 1),
      numberColumn('withinPoints', 'give or take', 'points', 1),
      numberColumn('brews', 'Brews'),
      textColumn('habit', 'A habit'),
      numberColumn('sheets', 'Sheets'),
    ],
    rows: read.map(({ name, attribute, byPoints, withinPoints, brews, isHabit, sheets: count }) => ({
      lotId: null,
      cells: { name, attribute, byPoints, withinPoints, brews, habit: isHabit ? 'yes' : 'no', sheets: count },
    })),
    chart:
      read.length === 0
        ? null
        : {
            kind: 'dots',
            x: 'name',
            quantity: 'none',
            yLabel: 'reads by, points beside the others',
            decimals: 1,
            points: read.map(({ name, attribute, byPoints }) => ({ x: attribute, y: byPoints, of: name })),
            line: { y: 0, label: 'as the others' },
          },
  };
}
