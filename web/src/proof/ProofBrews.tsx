import { Link } from 'react-router';
import { formatDuration, NOT_COUNTED_WORDS } from '@vendu/core';
import type { ProofBrewView } from '@vendu/contract';
import { classes } from '../ui/classes';
import { dayOf } from '../ui/dates';
import { WideTable } from '../ui/WideTable';

const HEAD = 'border-b border-ink pb-1 pr-3 text-left text-tiny font-medium text-quiet';
const CELL = 'border-b border-rule py-1.5 pr-3 align-baseline';
const FIGURE = `${CELL} reading text-right whitespace-nowrap`;

/** The brews of a version, and why those that prove nothing do not. */
export function ProofBrews({ brews }: { brews: readonly ProofBrewView[] }) {
  if (brews.length === 0) return null;
  return (
    <section>
      <h2 className="heading mb-2">Its brews</h2>
      <WideTable>
        <table className="w-full text-small">
          <thead>
            <tr>
              <th className={HEAD}>Brew</th>
              <th className={HEAD}>By</th>
              <th className={`${HEAD} text-right`}>Roast</th>
              <th className={`${HEAD} text-right`}>Strength</th>
              <th className={`${HEAD} text-right`}>Yield</th>
              <th className={`${HEAD} text-right`}>Time</th>
            </tr>
          </thead>
          <tbody>
            {brews.map((brew) => (
              <tr key={brew.id} className={classes(brew.notCounted !== null && 'text-quiet')}>
                <th scope="row" className={`${CELL} text-left font-medium`}>
                  <Link to={`/brews/${brew.id}`} className="underline underline-offset-3">
                    {brew.number}
                  </Link>
                </th>
                <td className={CELL}>
                  {brew.by}
                  <span className="caption block">
                    {dayOf(brew.startedAt)}, {brew.grinder}
                    {brew.fromCard && ', from the card alone'}
                    {brew.notCounted !== null && (
                      <b className="block text-ink">{NOT_COUNTED_WORDS[brew.notCounted]}</b>
                    )}
                  </span>
                </td>
                <td className={FIGURE}>{brew.roastAgeDays} d</td>
                <td className={`${FIGURE} text-strength`}>{brew.tdsPercent?.toFixed(2) ?? '–'}</td>
                <td className={`${FIGURE} text-yield`}>{brew.yieldPercent?.toFixed(1) ?? '–'}</td>
                <td className={`${FIGURE} text-time`}>
                  {brew.drainS === null ? '–' : formatDuration(brew.drainS)}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </WideTable>
    </section>
  );
}
