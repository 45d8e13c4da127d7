import { Link } from 'react-router';
import { formatClock, planChanges } from '@vendu/core';
import type { BrewListItem } from '@vendu/contract';
import { dayOf } from '../ui/dates';
import { VERDICT_WORDS } from '../ui/words';
import { strengthWords, yieldWords } from './resultWords';
import { WideTable } from '../ui/WideTable';

const HEAD = 'border-b border-ink pb-1 pr-4 text-left text-tiny font-medium text-quiet';
const CELL = 'border-b border-rule py-2 pr-4 align-top';

/** The trail of brews, newest first, with only what changed between neighbours. */
export function BrewTrail({ brews }: { brews: readonly BrewListItem[] }) {
  return (
    <WideTable>
      <table className="w-full text-small">
        <thead>
          <tr>
            <th className={HEAD}>Brew</th>
            <th className={HEAD}>What changed</th>
            <th className={`${HEAD} text-right`}>Drained</th>
            <th className={`${HEAD} text-right`}>Strength, %</th>
            <th className={`${HEAD} text-right`}>Yield, %</th>
            <th className={HEAD}>Verdict</th>
          </tr>
        </thead>
        <tbody>
          {brews
            .map((brew, index) => ({ brew, before: brews[index - 1] }))
            .reverse()
            .map(({ brew, before }) => (
              <tr key={brew.id} className="hover:bg-wash">
                <td className={CELL}>
                  <Link to={`/brews/${brew.id}`} className="font-semibold underline-offset-3 hover:underline">
                    Brew {brew.number}
                  </Link>
                  <div className="caption">
                    {dayOf(brew.startedAt)}, {brew.brewedBy}, v{brew.versionNumber}
                    {brew.isSimulated && ', simulated'}
                  </div>
                </td>
                <td className={CELL}>
                  <Changes brew={brew} before={before} />
                </td>
                <td className={`${CELL} reading text-right text-time`}>{drainedWords(brew)}</td>
                <td className={`${CELL} reading text-right whitespace-nowrap text-strength`}>
                  {brew.result ? strengthWords(brew.result) : '–'}
                </td>
                <td className={`${CELL} reading text-right whitespace-nowrap text-yield`}>
                  {brew.result ? yieldWords(brew.result) : '–'}
                  {brew.result?.yield.basis === 'assumed' && (
                    <div className="caption font-words">assumed</div>
                  )}
                </td>
                <td className={CELL}>
                  {brew.verdict ? VERDICT_WORDS[brew.verdict] : <span className="text-quiet">none yet</span>}
                </td>
              </tr>
            ))}
        </tbody>
      </table>
    </WideTable>
  );
}

function Changes({ brew, before }: { brew: BrewListItem; before: BrewListItem | undefined }) {
  if (!before) return <span className="text-quiet">first brew</span>;
  const changes = planChanges({ from: before.plan, to: brew.plan });
  if (changes.length === 0) return <span className="text-quiet">nothing, a repeat</span>;
  return (
    <ul>
      {changes.map(({ figure, from, to }) => (
        <li key={figure}>
          {figure} <span className="reading text-quiet">{from}</span> →{' '}
          <span className="reading font-bold">{to}</span>
        </li>
      ))}
    </ul>
  );
}

/** The last step of every plan is the drawdown. */
export function drainedWords({ steps }: Pick<BrewListItem, 'steps'>): string {
  const last = steps.at(-1);
  return last && !last.skipped ? formatClock(last.atS) : '–';
}
