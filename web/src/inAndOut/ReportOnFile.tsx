import type { ImportCount, ImportReport } from '@vendu/contract';
import { classes } from '../ui/classes';
import { Fold } from '../ui/Fold';
import { WideTable } from '../ui/WideTable';

const COLUMNS: [keyof Omit<ImportCount, 'what'>, string][] = [
  ['fresh', 'New'],
  ['same', 'Here already'],
  ['differing', 'Told otherwise here'],
  ['heldBack', 'Left out'],
];

const CELL = 'border-b border-rule py-1.5 pr-4';

/** Kind by kind, how what the file has stands to what is here. */
export function Counts({ report: { counts } }: { report: Pick<ImportReport, 'counts'> }) {
  return (
    <WideTable>
      <table className="w-full max-w-[44rem] text-small">
        <thead>
          <tr className="border-b border-ink text-left align-bottom">
            <th scope="col" className="py-1 pr-4 font-medium">
              In the file
            </th>
            {COLUMNS.map(([key, label]) => (
              <th key={key} scope="col" className="py-1 pr-4 text-right font-medium">
                {label}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {counts.map((count) => (
            <tr key={count.what}>
              <th scope="row" className={classes(CELL, 'text-left font-normal first-letter:uppercase')}>
                {count.what}
              </th>
              {COLUMNS.map(([key]) => (
                <td
                  key={key}
                  className={classes(
                    CELL,
                    'reading text-right',
                    count[key] === 0 && 'text-quiet',
                    key === 'fresh' && count[key] > 0 && 'font-semibold',
                  )}
                >
                  {count[key] === 0 ? '–' : count[key]}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </WideTable>
  );
}

/** What the file tells otherwise, beside what is here. */
export function Conflicts({ report: { conflicts } }: { report: Pick<ImportReport, 'conflicts'> }) {
  if (conflicts.length === 0) return null;
  return (
    <Fold
      summary={`What is told otherwise (${conflicts.length})`}
      isHeading
      isOpenAtFirst={conflicts.length <= 10}
    >
      <WideTable>
        <table className="w-full text-small">
          <thead>
            <tr className="border-b border-ink text-left">
              <th scope="col" className="py-1 pr-4 font-medium">
                Which
              </th>
              <th scope="col" className="py-1 pr-4 font-medium">
                What
              </th>
              <th scope="col" className="py-1 pr-4 font-medium">
                Here, stays
              </th>
              <th scope="col" className="py-1 pr-4 font-medium">
                In the file
              </th>
            </tr>
          </thead>
          <tbody>
            {conflicts.map(({ what, about, field, here, inFile }, index) => (
              <tr key={index} className="align-top">
                <td className={CELL}>
                  {about} <span className="text-quiet">({what})</span>
                </td>
                <td className={CELL}>{field}</td>
                <td className={classes(CELL, 'font-semibold break-words')}>{here === '' ? '–' : here}</td>
                <td className={classes(CELL, 'break-words')}>{inFile === '' ? '–' : inFile}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </WideTable>
    </Fold>
  );
}
