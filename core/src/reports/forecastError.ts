import { median, sumSimple } from 'simple-statistics';
import type { FigureSeen } from '../changeLife/changeSeen.js';
import type { OutcomeOf } from '../forecast/outcome.js';
import { counted, dayColumn, numberColumn, textColumn, type Report } from './report.js';

/** A change after its brew, as far as figures were expected of it. */
export interface ChangeBrewed {
  lotId: number;
  lot: string;
  brewer: string;
  /** Calendar date of the brew. */
  on: string;
  figures: Partial<Record<OutcomeOf, FigureSeen>>;
}

/** How far what a change did lay from what it was to do. */
export function forecastReport(changes: readonly ChangeBrewed[]): Report {
  const inOrder = changes.toSorted((a, b) => a.on.localeCompare(b.on));
  const points = inOrder.flatMap(({ on, lot, figures: { tdsPercent } }) =>
    tdsPercent ? [{ x: on, y: missedBy(tdsPercent), of: lot }] : [],
  );
  return {
    answer: answerOf(inOrder, points),
    remark:
      'Each dot is a change: strength done less strength expected. The band that a forecast gives should hold nine of ten; instrument and brew have their part in what it misses.',
    columns: [
      dayColumn('on', 'Brewed'),
      textColumn('lot', 'Lot'),
      textColumn('brewer', 'Brewer'),
      numberColumn('strengthExpected', 'Strength, expected', '%', 2),
      numberColumn('strengthDid', 'did', '%', 2),
      numberColumn('yieldExpected', 'Yield, expected', 'points', 1),
      numberColumn('yieldDid', 'did', 'points', 1),
      numberColumn('drainExpected', 'Drain, expected', 's'),
      numberColumn('drainDid', 'did', 's'),
      textColumn('held', 'In its band'),
    ],
    rows: inOrder.toReversed().map(({ lotId, lot, brewer, on, figures }) => ({
      lotId,
      cells: {
        on,
        lot,
        brewer,
        strengthExpected: figures.tdsPercent?.expectedBy ?? null,
        strengthDid: figures.tdsPercent?.didBy ?? null,
        yieldExpected: figures.yieldPercent?.expectedBy ?? null,
        yieldDid: figures.yieldPercent?.didBy ?? null,
        drainExpected: figures.drawdownS?.expectedBy ?? null,
        drainDid: figures.drawdownS?.didBy ?? null,
        held: held(figures),
      },
    })),
    chart:
      points.length === 0
        ? null
        : {
            kind: 'dots',
            x: 'day',
            quantity: 'strength',
            yLabel: 'strength missed by, % TDS',
            decimals: 2,
            points,
            line: { y: 0, label: 'as expected' },
          },
  };
}

const missedBy = ({ expectedBy, didBy }: FigureSeen) => didBy - expectedBy;

function answerOf(changes: readonly ChangeBrewed[], points: readonly { y: number }[]): string {
  if (points.length === 0) return 'No change with a forecast of its strength was brewed in this time.';
  const figures = changes.flatMap(({ figures }) => Object.values(figures));
  const came = sumSimple(figures.map(({ asExpected }) => Number(asExpected)));
  const off = median(points.map(({ y }) => Math.abs(y)));
  return `Strength came ${off.toFixed(2)} % TDS off what was expected (median of ${counted(points.length, 'change')}). Of ${counted(figures.length, 'figure')} ${came} lay in their band, which should hold nine of ten.`;
}

function held(figures: ChangeBrewed['figures']): string {
  const told = Object.values(figures);
  return `${told.filter(({ asExpected }) => asExpected).length} of ${told.length}`;
}
