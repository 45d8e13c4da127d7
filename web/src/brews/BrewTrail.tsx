import { useState } from 'react';
import { Link } from 'react-router';
import { formatClock, markedDrainS, planChanges } from '@vendu/core';
import type { BrewListItem } from '@vendu/contract';
import { Button } from '../ui/Button';
import { dayOf } from '../ui/dates';
import { VERDICT_WORDS } from '../ui/words';
import { useChangesQuery } from '../api/changesApi';
import { ChangeCame } from './ChangeCame';
import { ToldBlind } from './ToldBlind';
import { strengthWords, yieldWords } from './resultWords';
import { WideTable } from '../ui/WideTable';

const HEAD = 'border-b border-ink pb-1 pr-4 text-left text-tiny font-medium text-quiet';
const CELL = 'border-b border-rule py-2 pr-4 align-top';

/** The trail of brews, newest first, with only what changed between neighbours. */
export function BrewTrail({
  brews,
  lotId,
  names = null,
}: {
  brews: readonly BrewListItem[];
  lotId: number;
  /** Of the lot's recipes, where brews of more than one stand in the trail. */
  names?: ReadonlyMap<number, string> | null;
}) {
  const { data: changes = [] } = useChangesQuery(lotId);
  const [isAll, setAll] = useState(false);
  const cameOf = new Map(
    changes.flatMap((change) =>
      change.seen ? [[change.seen.afterBrewId, { change, seen: change.seen }]] : [],
    ),
  );
  const rows = brews
    .map((brew, index) => ({
      brew,
      // One plan in another brewer is no repeat.
      before: brews.slice(0, index).findLast(({ recipeId }) => recipeId === brew.recipeId),
    }))
    .reverse();
  const shown = isAll ? rows : rows.slice(0, SHOWN_AT_FIRST);
  return (
    <>
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
            {shown.map(({ brew, before }) => (
              <tr key={brew.id} className="hover:bg-wash">
                <td className={CELL}>
                  <Link to={`/brews/${brew.id}`} className="font-semibold underline-offset-3 hover:underline">
                    Brew {brew.number}
                  </Link>
                  {names && <div className="text-small">{names.get(brew.recipeId)}</div>}
                  <div className="caption">
                    {dayOf(brew.startedAt)}, {brew.brewedBy}, v{brew.versionNumber}, {brew.doseG} g
                    {brew.isSimulated && ', simulated'}
                  </div>
                </td>
                <td className={CELL}>
                  <Changes brew={brew} before={before} name={names?.get(brew.recipeId)} />
                  <Came came={cameOf.get(brew.id)} />
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
      {shown.length < rows.length && (
        <Button weight="quiet" className="-ml-3" onClick={() => setAll(true)}>
          {rows.length - shown.length} earlier brews, {gramsOf(rows.slice(shown.length))} g
        </Button>
      )}
    </>
  );
}

/** More than this on one page is looked for, not read. */
const SHOWN_AT_FIRST = 20;

function gramsOf(rows: readonly { brew: BrewListItem }[]): number {
  return Math.round(rows.reduce((sum, { brew }) => sum + brew.doseG, 0));
}

function Came({ came }: { came: Parameters<typeof ChangeCame>[0] | undefined }) {
  if (!came) return null;
  return (
    <>
      <ChangeCame {...came} />
      <ToldBlind recipeVersionId={came.change.recipeVersionId} />
    </>
  );
}

function Changes({
  brew,
  before,
  name,
}: {
  brew: BrewListItem;
  before: BrewListItem | undefined;
  name: string | undefined;
}) {
  if (!before) return <span className="text-quiet">first brew{name !== undefined && ` in the ${name}`}</span>;
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

export function drainedWords(brew: Pick<BrewListItem, 'plan' | 'steps'>): string {
  const drainS = markedDrainS(brew);
  return drainS === null ? '–' : formatClock(drainS);
}
