import { Link } from 'react-router';
import type { ReportCell, ReportColumn } from '@vendu/core';
import type { ReportView } from '@vendu/contract';
import { classes } from '../ui/classes';
import { dayOf } from '../ui/dates';
import { WideTable } from '../ui/WideTable';

/** The records behind an answer; a lot's name leads to it. */
export function ReportTable({ report: { columns, rows } }: { report: ReportView }) {
  return (
    <WideTable>
      <table className="w-full text-small">
        <thead>
          <tr className="border-b border-ink text-left align-bottom">
            {columns.map(({ key, label, unit, kind }) => (
              <th
                key={key}
                scope="col"
                className={classes('py-1 pr-4 font-medium', kind === 'number' && 'text-right')}
              >
                {label}
                {unit !== '' && <span className="font-normal text-quiet">, {unit}</span>}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(({ lotId, cells }, index) => (
            <tr key={index} className="border-b border-rule">
              {columns.map((column) => {
                const words = printed(cells[column.key] ?? null, column);
                return (
                  <td
                    key={column.key}
                    className={classes(
                      'py-1.5 pr-4',
                      column.kind !== 'text' && 'reading',
                      column.kind === 'number' && 'text-right',
                      column.kind === 'day' && 'whitespace-nowrap',
                    )}
                  >
                    {column.key === 'lot' && lotId !== null ? (
                      <Link to={`/lots/${lotId}`} className="underline underline-offset-3">
                        {words}
                      </Link>
                    ) : (
                      words
                    )}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </WideTable>
  );
}

function printed(cell: ReportCell, { kind, decimals }: ReportColumn): string {
  if (cell === null) return '–';
  if (typeof cell === 'number') return cell.toFixed(decimals).replace('-', '−');
  return kind === 'day' ? dayOf(cell) : cell;
}
