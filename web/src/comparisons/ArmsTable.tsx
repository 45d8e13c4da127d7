import { Link } from 'react-router';
import {
  armFigure,
  armLetter,
  COMPARED_FIGURES,
  figureApart,
  formatClock,
  type ArmDifference,
  type ComparedFigure,
} from '@vendu/core';
import type { ComparisonArmView, ComparisonView } from '@vendu/contract';
import { StaircaseThumb } from '@vendu/card';
import { classes } from '../ui/classes';
import { WideTable } from '../ui/WideTable';
import { ArmBrews } from './ArmBrews';
import { axisLabel } from './comparisonWords';

const FIGURES: Record<
  ComparedFigure,
  { label: string; hue: string; print: (value: number) => string; apart: (size: number) => string }
> = {
  tdsPercent: {
    label: 'Strength',
    hue: 'text-strength',
    print: (value) => `${value.toFixed(2)} %`,
    apart: (size) => `${size.toFixed(2)} %`,
  },
  yieldPercent: {
    label: 'Yield',
    hue: 'text-yield',
    print: (value) => `${value.toFixed(1)} %`,
    apart: (size) => `${size.toFixed(1)} points`,
  },
  drainS: {
    label: 'Drained',
    hue: 'text-time',
    print: (value) => formatClock(Math.round(value)),
    apart: (size) => `${Math.round(size)} s`,
  },
};

/** The arms as columns: what differs in them, and what came of it. */
export function ArmsTable({
  comparison: { id, arms, asks },
  differences,
}: {
  comparison: ComparisonView;
  differences: readonly ArmDifference[];
}) {
  return (
    <WideTable>
      <table className="w-full text-small">
        <caption className="sr-only">The arms side by side</caption>
        <thead>
          <tr className="align-top">
            <td className="w-28" />
            {arms.map((arm, place) => (
              <th
                key={arm.id}
                scope="col"
                className="min-w-44 border-l border-rule px-3 pb-2 text-left font-normal"
              >
                <ArmHead
                  id={id}
                  arm={arm}
                  place={place}
                  hasLots={differences.some(({ axis }) => axis === 'lot')}
                />
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {differences.map(({ axis, values }) => (
            <tr key={axis} className="border-t border-rule">
              <th scope="row" className="py-1.5 pr-3 text-left font-normal text-quiet">
                {axisLabel(axis)}
              </th>
              {arms.map((arm, place) => (
                <td
                  key={arm.id}
                  className={classes(
                    'border-l border-rule px-3 py-1.5',
                    asks.includes(axis) && 'font-semibold',
                  )}
                >
                  {values[place]}
                </td>
              ))}
            </tr>
          ))}
          {COMPARED_FIGURES.map((figure) => (
            <FigureRow key={figure} arms={arms} figure={figure} />
          ))}
        </tbody>
      </table>
    </WideTable>
  );
}

function ArmHead({
  id,
  arm,
  place,
  hasLots,
}: {
  /** Of the comparison. */
  id: number;
  arm: ComparisonArmView;
  place: number;
  hasLots: boolean;
}) {
  const letter = armLetter(place);
  return (
    <div className="flex flex-col gap-1">
      <span className="text-[2rem] leading-none font-bold">{letter}</span>
      <Link
        to={`/recipes/${arm.recipeId}`}
        className="flex min-h-6 items-center font-semibold underline-offset-3 hover:underline"
      >
        {arm.brewerName}, version {arm.versionNumber}
      </Link>
      <Link
        to={`/lots/${arm.lotId}`}
        className={classes(
          'caption flex min-h-6 items-center underline-offset-3 hover:underline',
          hasLots && 'font-semibold',
        )}
      >
        {arm.lotName}
      </Link>
      <StaircaseThumb plan={arm.plan} width={160} height={44} />
      <ArmBrews id={id} arm={arm} place={place} />
    </div>
  );
}

/** The mean of what was measured; beside the first what cannot be told from it is said so. */
function FigureRow({ arms, figure }: { arms: readonly ComparisonArmView[]; figure: ComparedFigure }) {
  const { label, hue, print, apart } = FIGURES[figure];
  const [first] = arms;
  const values = arms.map((arm) => armFigure(arm, figure));
  if (values.every((value) => value === null)) return null;
  return (
    <tr className="border-t border-rule">
      <th scope="row" className="py-1.5 pr-3 text-left font-normal text-quiet">
        {label}
      </th>
      {arms.map((arm, place) => {
        const value = values[place];
        const from = first && place > 0 ? figureApart(first, arm, figure) : null;
        return (
          <td key={arm.id} className="border-l border-rule px-3 py-1.5">
            {value ? (
              <>
                <span className={classes('reading', hue)}>{print(value.mean)}</span>
                {from && (
                  <span className="caption block">
                    {from.isApart
                      ? `${apart(Math.abs(from.difference))} ${wayOf(figure, from.difference)} than A, ± ${apart(from.reach)}`
                      : `not told from A: within ${apart(from.reach)}`}
                  </span>
                )}
              </>
            ) : (
              <span className="text-quiet">not measured</span>
            )}
          </td>
        );
      })}
    </tr>
  );
}

function wayOf(figure: ComparedFigure, difference: number): string {
  if (figure === 'drainS') return difference > 0 ? 'slower' : 'faster';
  if (figure === 'tdsPercent') return difference > 0 ? 'stronger' : 'weaker';
  return difference > 0 ? 'higher' : 'lower';
}
