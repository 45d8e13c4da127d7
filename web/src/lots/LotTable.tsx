import type { KeyboardEvent, ReactNode } from 'react';
import { Link } from 'react-router';
import type { LotListItem, LotSort, LotsQueryDto } from '@vendu/contract';
import { elevationOf, formatRatio, planRatio } from '@vendu/core';
import { StaircaseThumb } from '@vendu/card';
import { classes } from '../ui/classes';
import { countryName } from '@vendu/card/countries';
import { StageLadder } from '../ui/StageLadder';
import { dueWords } from './dueWords';
import { elevationWords, processWords } from '@vendu/core';
import { launchWords } from './launchWords';

const HEAD = 'border-ink pb-1.5 align-bottom text-tiny font-medium text-quiet lg:border-b';
const CELL = 'border-rule align-top lg:border-b lg:py-2.5 lg:pr-4';
const NUMBER = 'reading border-rule align-top lg:border-b lg:py-2.5 lg:pl-3 text-right';

interface LotTableProps {
  lots: LotListItem[];
  query: LotsQueryDto;
  onChange: (changed: Partial<LotsQueryDto>) => void;
}

/**
 * The working view: one row for each lot, or one block where the screen is narrow. Up and down walk the rows, Enter
 * opens one.
 */
export function LotTable({ lots, query, onChange }: LotTableProps) {
  const sorting = (sort: LotSort, words: string, isNumber = true) => (
    <SortHead {...{ sort, words, isNumber, query, onChange }} />
  );
  return (
    <table className="w-full max-lg:block" onKeyDown={walkRows}>
      <thead className="max-lg:block max-lg:border-b max-lg:border-ink">
        <tr className="max-lg:flex max-lg:flex-wrap max-lg:gap-x-2">
          {sorting('name', 'Lot', false)}
          <th className={classes(HEAD, 'pr-4 text-left max-lg:hidden')}>Process and elevation</th>
          {sorting('due', 'Stage, what is due', false)}
          <th className={classes(HEAD, 'pr-4 text-left max-lg:hidden')}>Current recipe</th>
          {sorting('launch', 'Launch')}
          {sorting('roast-age', 'Roast age')}
          {sorting('brews', 'Brews')}
          <th className={classes(HEAD, 'pl-3 text-right max-lg:hidden')}>Last cup</th>
          {sorting('left', 'Left, brewed')}
        </tr>
      </thead>
      <tbody className="max-lg:block">
        {lots.map((lot) => (
          <LotRow key={lot.id} lot={lot} />
        ))}
      </tbody>
    </table>
  );
}

function SortHead({
  sort,
  words,
  isNumber,
  query,
  onChange,
}: {
  sort: LotSort;
  words: string;
  isNumber: boolean;
  query: LotsQueryDto;
  onChange: (changed: Partial<LotsQueryDto>) => void;
}) {
  const isSorted = query.sort === sort;
  const next = isSorted && query.direction === 'up' ? 'down' : 'up';
  return (
    <th
      className={classes(HEAD, isNumber ? 'pl-3 text-right' : 'pr-4 text-left')}
      aria-sort={isSorted ? (query.direction === 'up' ? 'ascending' : 'descending') : undefined}
    >
      <button
        type="button"
        onClick={() => onChange({ sort, direction: next })}
        className={classes('font-medium whitespace-nowrap hover:text-ink', isSorted && 'font-bold text-ink')}
      >
        {words}
        <span aria-hidden className={classes('inline-block w-3 text-center', !isSorted && 'opacity-50')}>
          {isSorted ? (query.direction === 'up' ? '↑' : '↓') : '↕'}
        </span>
      </button>
    </th>
  );
}

/** Focus goes from the link of one row to that of the next. */
function walkRows(event: KeyboardEvent<HTMLTableElement>): void {
  if (event.key !== 'ArrowDown' && event.key !== 'ArrowUp') return;
  const links = [...event.currentTarget.querySelectorAll<HTMLAnchorElement>('a[data-row]')];
  const row = (event.target as HTMLElement).closest('tr');
  const at = links.findIndex((link) => link.closest('tr') === row);
  const next = links[at + (event.key === 'ArrowDown' ? 1 : -1)];
  if (!next) return;
  event.preventDefault();
  next.focus();
}

function LotRow({ lot }: { lot: LotListItem }) {
  const { recipe } = lot;
  return (
    <tr className="group border-rule hover:bg-wash max-lg:grid max-lg:grid-cols-[minmax(0,1fr)_auto] max-lg:gap-x-4 max-lg:gap-y-1 max-lg:border-b max-lg:py-3">
      <td className={classes(CELL, 'lg:max-w-64')}>
        <Link
          data-row
          to={`/lots/${lot.id}`}
          className="font-semibold break-words underline-offset-3 group-hover:underline"
        >
          {lot.name}
        </Link>
        <div className="caption">
          {countryName(lot.country)}
          {lot.region && `, ${lot.region}`}
        </div>
        {lot.additions && <div className="text-tiny font-medium text-alarm">contains {lot.additions}</div>}
      </td>
      <td className={classes(CELL, 'max-lg:order-3')}>
        {processWords(lot)}
        <div className="reading caption">{grownAt(lot)}</div>
      </td>
      <td className={classes(CELL, 'max-lg:order-2')}>
        <StageLadder stage={lot.stage} />
        <div className={classes('text-tiny', lot.due.isPressing ? 'font-semibold text-alarm' : 'text-quiet')}>
          {dueWords(lot)}
        </div>
      </td>
      <td className={classes(CELL, 'max-lg:order-5')}>
        {recipe ? (
          <Link to={`/recipes/${recipe.id}`} className="flex items-center gap-3 hover:underline">
            <StaircaseThumb plan={recipe.plan} />
            <span>
              <span className="reading text-small whitespace-nowrap">
                <span className="text-water">{formatRatio(planRatio(recipe.plan))}</span>
                <span className="ml-2 text-temperature">{recipe.plan.kettleC} °C</span>
              </span>
              <span className="caption block">
                {recipe.brewerName}, v{recipe.latestVersion}
              </span>
            </span>
          </Link>
        ) : (
          <span className="caption">none yet</span>
        )}
      </td>
      <td className={classes(NUMBER, 'text-time max-lg:order-4')}>
        {lot.daysToLaunch === null ? (
          <Unread />
        ) : (
          <span className={classes('whitespace-nowrap', lot.due.isPressing && 'font-semibold')}>
            {launchWords(lot.daysToLaunch)}
          </span>
        )}
      </td>
      <td className={classes(NUMBER, 'text-time max-lg:hidden')}>
        {lot.roastAgeDays === null ? <Unread /> : <Reading value={lot.roastAgeDays} unit="d" />}
      </td>
      <td className={classes(NUMBER, 'max-lg:hidden')}>{lot.brewCount}</td>
      <td className={classes(NUMBER, 'max-lg:order-6')}>
        <LastCup lot={lot} />
      </td>
      <td className={classes(NUMBER, 'max-lg:hidden')}>
        {lot.gramsLeftG === null ? <Unread /> : <Reading value={Math.round(lot.gramsLeftG)} unit="g" />}
        <div className="caption">
          <Reading value={Math.round(lot.gramsBrewedG)} unit="g" />
        </div>
      </td>
    </tr>
  );
}

function LastCup({ lot }: { lot: LotListItem }) {
  if (lot.lastStrengthPercent === null || lot.lastYieldPercent === null) return <Unread />;
  return (
    <>
      <div className="text-strength">
        <Reading value={lot.lastStrengthPercent.toFixed(2)} unit="%" />
      </div>
      <div className="text-yield">
        <Reading value={lot.lastYieldPercent.toFixed(1)} unit="%" />
      </div>
      {lot.lastYieldBasis === 'assumed' && <div className="caption font-words">assumed</div>}
    </>
  );
}

function Reading({ value, unit }: { value: ReactNode; unit: string }) {
  return (
    <span className="whitespace-nowrap">
      {value}
      <span className="text-tiny text-quiet"> {unit}</span>
    </span>
  );
}

function Unread() {
  return (
    <span className="text-quiet" aria-label="not known">
      –
    </span>
  );
}

function grownAt(lot: LotListItem): string {
  const elevation = elevationOf(lot);
  return elevation ? elevationWords(elevation) : 'elevation not known';
}
