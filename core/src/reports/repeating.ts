import { median } from 'simple-statistics';
import type { Precision } from '../proof/precision.js';
import { counted, dayColumn, numberColumn, textColumn, type Report } from './report.js';

/** A version that was signed off, with what its proof measured. */
export interface VersionProven {
  lotId: number;
  lot: string;
  brewer: string;
  versionNumber: number;
  /** Calendar date of the signature. */
  on: string;
  strength: Precision | null;
  yield: Precision | null;
}

/** How near brews of one recipe lie to each other: what a customer may expect of it. */
export function repeatingReport(versions: readonly VersionProven[]): Report {
  const inOrder = versions.toSorted((a, b) => a.on.localeCompare(b.on));
  const points = inOrder.flatMap(({ on, lot, strength }) => {
    const sd = strength?.reproducibilitySd ?? strength?.repeatabilitySd ?? null;
    return sd === null ? [] : [{ x: on, y: sd, of: lot }];
  });
  return {
    answer: answerOf(inOrder),
    remark:
      'Standard deviations after ISO 5725, hands in the place of laboratories. Each rests on the few brews of a proof: two of them may differ by half and mean the same.',
    columns: [
      dayColumn('on', 'Signed off'),
      textColumn('lot', 'Lot'),
      textColumn('brewer', 'Brewer'),
      numberColumn('version', 'Version'),
      numberColumn('brews', 'Brews'),
      numberColumn('hands', 'Hands'),
      numberColumn('strength', 'Strength', '%', 2),
      numberColumn('strengthSame', 'same hands, sd', '%', 3),
      numberColumn('strengthAny', 'any hands, sd', '%', 3),
      numberColumn('yield', 'Yield', '%', 1),
      numberColumn('yieldSame', 'same hands, sd', 'points', 2),
      numberColumn('yieldAny', 'any hands, sd', 'points', 2),
    ],
    rows: inOrder
      .toReversed()
      .map(({ lotId, lot, brewer, versionNumber, on, strength, yield: extraction }) => ({
        lotId,
        cells: {
          on,
          lot,
          brewer,
          version: versionNumber,
          brews: strength?.count ?? 0,
          hands: strength?.hands ?? 0,
          strength: strength?.mean ?? null,
          strengthSame: strength?.repeatabilitySd ?? null,
          strengthAny: strength?.reproducibilitySd ?? null,
          yield: extraction?.mean ?? null,
          yieldSame: extraction?.repeatabilitySd ?? null,
          yieldAny: extraction?.reproducibilitySd ?? null,
        },
      })),
    chart:
      points.length === 0
        ? null
        : {
            kind: 'dots',
            x: 'day',
            quantity: 'strength',
            yLabel: 'strength between brews, sd, % TDS',
            decimals: 2,
            points,
            line: null,
          },
  };
}

function answerOf(versions: readonly VersionProven[]): string {
  const same = versions.flatMap(({ strength }) => strength?.repeatabilitySd ?? []);
  const any = versions.flatMap(({ strength }) => strength?.reproducibilitySd ?? []);
  if (same.length === 0)
    return 'No version that was signed off in this time was brewed twice by the same hands.';
  const byOthers =
    any.length === 0
      ? ''
      : ` By whoever brews it, it is ${median(any).toFixed(3)} % (${counted(any.length, 'version')}).`;
  return `The same hands repeat strength to ${median(same).toFixed(3)} % TDS (standard deviation, median of ${counted(same.length, 'version')}).${byOthers}`;
}
