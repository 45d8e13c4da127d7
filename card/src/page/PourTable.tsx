import { formatDuration, runningTotalsG, type BrewPlan } from '@vendu/core';

const HEAD = 'py-1 pr-4 text-left font-normal';
const FIGURE = 'reading py-1 pr-4';

/** The pours for whoever would rather read figures than sentences. */
export function PourTable({ plan }: { plan: BrewPlan }) {
  const totals = runningTotalsG(plan);
  return (
    <details className="text-small print:hidden">
      <summary className="caption">The pours in a table</summary>
      <table className="mt-1 w-full max-w-md" data-pours>
        <thead>
          <tr className="border-b border-ink text-quiet">
            <th className={HEAD}>Pour</th>
            <th className={HEAD}>Start</th>
            <th className={HEAD}>Amount</th>
            <th className={HEAD}>On the scale</th>
          </tr>
        </thead>
        <tbody>
          {plan.pours.map(({ startS, amountG, isBloom }, index) => (
            <tr key={index} className="border-b border-rule">
              <th scope="row" className={HEAD}>
                {isBloom ? 'Bloom' : `Pour ${index + 1}`}
              </th>
              <td className={`${FIGURE} text-time`}>{formatDuration(startS)}</td>
              <td className={`${FIGURE} text-water`}>{amountG} g</td>
              <td className={`${FIGURE} text-water`}>{totals[index]} g</td>
            </tr>
          ))}
        </tbody>
      </table>
    </details>
  );
}
