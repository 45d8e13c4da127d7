import {
  addedWaterG,
  markedDrainS,
  ASSUMED_RETAINED,
  BENCH_INSTRUMENTS,
  formatClock,
  formatDuration,
  standingOf,
  type BrewResult,
  type Standing,
  type Targets,
} from '@vendu/core';
import type { ReactNode } from 'react';
import type { BrewView } from '@vendu/contract';
import { classes } from '../ui/classes';
import { Explain } from '../ui/Explain';
import { yieldWords } from './resultWords';

/** What the brew came to against its aim, each figure with its uncertainty and the way to where it came from. */
export function ResultFigures({ brew, targets }: { brew: BrewView; targets: Targets | null }) {
  const { result } = brew;
  const drainS = markedDrainS(brew);
  const isWeighed = result?.yield.basis === 'weighed';
  return (
    <dl className="grid grid-cols-3 gap-x-4 lg:flex lg:gap-x-12">
      <OneFigure
        label="Strength"
        hue="text-strength"
        value={result?.strength.meanPercent.toFixed(2)}
        spread={result && `± ${result.strength.uncertaintyPercent.toFixed(2)}`}
        unit="% TDS"
        trail={result ? <StrengthTrail brew={brew} result={result} /> : 'from three readings'}
        aim={aimWords(result?.strength.meanPercent, targets?.tdsPercent, (value) => value.toFixed(2))}
      />
      <OneFigure
        label={result && !isWeighed ? 'Yield, assumed' : 'Yield'}
        hue="text-yield"
        value={
          result &&
          (result.yield.basis === 'weighed' ? result.yield.yieldPercent.toFixed(1) : yieldWords(result))
        }
        spread={
          result?.yield.basis === 'weighed' ? `± ${result.yield.uncertaintyPoints.toFixed(1)}` : undefined
        }
        unit="% of dose"
        trail={result ? <YieldTrail brew={brew} result={result} /> : 'strength x beverage / dose'}
        aim={aimWords(
          result?.yield.basis === 'weighed' ? result.yield.yieldPercent : null,
          targets?.yieldPercent,
          (value) => value.toFixed(1),
        )}
      />
      <OneFigure
        label="Drained"
        hue="text-time"
        value={drainS === null ? undefined : formatClock(drainS)}
        trail={`plan ${formatDuration(brew.plan.drawdownS)}`}
        aim={aimWords(drainS, targets?.drawdownS, (value) => formatDuration(value))}
      />
      <OneFigure
        label={result && !isWeighed ? 'Retained, assumed' : 'Retained water'}
        hue="text-water"
        className="max-lg:hidden"
        value={
          result &&
          (result.yield.basis === 'weighed'
            ? result.yield.retainedGPerG.toFixed(2)
            : `${ASSUMED_RETAINED.lowGPerG}–${ASSUMED_RETAINED.highGPerG}`)
        }
        unit="g/g"
        trail={result && !isWeighed ? 'until the beverage is weighed' : 'water less beverage, per g of dose'}
      />
    </dl>
  );
}

/** A figure against the window it is aimed at; `null` where it is not aimed at. */
function aimWords(
  value: number | null | undefined,
  window: Targets['drawdownS'],
  print: (value: number) => string,
): { words: string; range: string; isOff: boolean } | null {
  if (!window) return null;
  const standing = standingOf(value, window);
  return {
    words: STANDING_WORDS[standing],
    range: `${print(window.low)}–${print(window.high)}`,
    isOff: standing === 'low' || standing === 'high',
  };
}

const STANDING_WORDS: Record<Standing, string> = {
  low: 'below the aim',
  'on-aim': 'on aim',
  high: 'above the aim',
  unknown: 'aim',
};

interface OneFigureProps {
  label: string;
  hue: string;
  /** Left out where it is not measured yet. */
  value: string | null | undefined;
  spread?: string | null | undefined;
  unit?: string;
  /** Where it came from. */
  trail: ReactNode;
  aim?: ReturnType<typeof aimWords>;
  className?: string;
}

function OneFigure({ label, hue, value, spread, unit, trail, aim, className }: OneFigureProps) {
  return (
    <div className={classes('flex flex-col', className)}>
      <dt className="caption">{label}</dt>
      <dd className={classes('reading text-large font-medium lg:text-figure lg:leading-tight', hue)}>
        {value ?? '–'}
        {value != null && spread != null && <span className="ml-1.5 text-small">{spread}</span>}
        {unit !== undefined && (
          <span className="ml-1 text-small font-normal text-quiet max-lg:hidden">{unit}</span>
        )}
      </dd>
      <dd className="caption flex flex-wrap gap-x-3">
        {aim && (
          <span className={classes(aim.isOff && 'font-semibold text-alarm')}>
            {aim.words} <span className="reading whitespace-nowrap">{aim.range}</span>
          </span>
        )}
        <span className="max-lg:hidden">{trail}</span>
      </dd>
    </div>
  );
}

function StrengthTrail({ brew, result }: { brew: BrewView; result: BrewResult }) {
  const { strength } = result;
  return (
    <Explain
      label="Where the strength comes from"
      trigger={`mean of ${strength.count}, spread ${strength.spreadPercent.toFixed(2)}`}
    >
      <p className="mb-2 font-semibold">Strength</p>
      <p className="reading mb-2">
        {brew.readings.map(({ tdsPercent }) => tdsPercent.toFixed(2)).join('   ')}
      </p>
      <p>
        Mean <span className="reading">{strength.meanPercent.toFixed(3)} %</span>
        {strength.sdPercent !== null && (
          <>
            , standard deviation <span className="reading">{strength.sdPercent.toFixed(3)}</span>
          </>
        )}
        . Uncertainty: the instrument’s <span className="reading">{BENCH_INSTRUMENTS.tdsPercent}</span> % and
        the spread of the mean, added as squares. Repeating does not shrink the instrument’s part.
      </p>
    </Explain>
  );
}

function YieldTrail({ brew, result }: { brew: BrewView; result: BrewResult }) {
  const measured = result.yield;
  // What was added to the finished beverage is in it.
  const allWaterG = brew.waterG + addedWaterG(brew);
  const strength = result.strength.meanPercent.toFixed(3);
  return (
    <Explain label="Where the yield comes from" trigger="strength x beverage / dose">
      <p className="mb-2 font-semibold">Extraction yield</p>
      {measured.basis === 'weighed' ? (
        <>
          <p className="reading mb-2">
            {strength} % x {brew.beverageG} g / {brew.doseG} g = {measured.yieldPercent.toFixed(2)} %
          </p>
          <p>
            The beverage in the cup counts, never the water: {allWaterG} g would read{' '}
            <span className="reading">
              {((result.strength.meanPercent * allWaterG) / brew.doseG).toFixed(1)} %
            </span>
            . Uncertainty ± <span className="reading">{measured.uncertaintyPoints.toFixed(2)}</span> points
            from the reading, the beverage ({BENCH_INSTRUMENTS.beverageG} g) and the dose (
            {BENCH_INSTRUMENTS.doseG} g), to first order. Two brews closer than that cannot be told apart.
          </p>
        </>
      ) : (
        <>
          <p className="reading mb-2">
            {strength} % x ({allWaterG} g − {measured.assumedRetainedGPerG} x {brew.doseG} g) / {brew.doseG} g
            = {measured.yieldPercent.toFixed(2)} %
          </p>
          <p>
            The bed’s retained water was assumed: {ASSUMED_RETAINED.lowGPerG} to {ASSUMED_RETAINED.highGPerG}{' '}
            g per g of dose gives the band.
          </p>
        </>
      )}
    </Explain>
  );
}
