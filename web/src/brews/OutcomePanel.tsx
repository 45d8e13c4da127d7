import { formatClock, formatDuration, formatSigned, type BrewOutcome, type OutcomeOf } from '@vendu/core';
import type { BrewView } from '@vendu/contract';
import { classes } from '../ui/classes';
import { OUTCOME_ORDER, OUTCOME_WORDS } from '../ui/outcomeWords';
import { departureWords } from './departureWords';
import { WideTable } from '../ui/WideTable';

/** How a figure is laid beside its forecast; its name and colour are those of everywhere. */
interface OutcomeWords {
  unit: string;
  digits: number;
  /** A figure with the precision of its instrument. */
  show: (value: number) => string;
  /** The same as it was measured. */
  showMeasured?: (value: number) => string;
}

const WORDS: Record<OutcomeOf, OutcomeWords> = {
  tdsPercent: {
    unit: '%',
    digits: 2,
    show: (value) => value.toFixed(2),
  },
  yieldPercent: {
    unit: 'points',
    digits: 1,
    show: (value) => value.toFixed(1),
  },
  drawdownS: {
    unit: 's',
    digits: 0,
    show: (value) => formatDuration(Math.round(value)),
    // As the clock showed it when it was marked, to the hundredth that the record keeps.
    showMeasured: (value) => formatClock(Math.round(value * 100) / 100),
  },
};

/** Where what remains would come from, and what to do about it. */
const BEYOND: Record<OutcomeOf, string> = {
  tdsPercent:
    'Zero the refractometer and read again. If the reading holds, this lot behaves differently from what earlier brews suggested.',
  yieldPercent:
    'Weigh beverage and dose again. If they hold, this lot behaves differently from what earlier brews suggested.',
  drawdownS: 'Check grinder setting, paper and bed: something differed from the earlier brews.',
};

const HEAD = 'border-b border-ink pb-1 pr-5 text-left text-tiny font-medium text-quiet';
const CELL = 'border-b border-rule py-1 pr-5 align-baseline';

/** The brew beside its forecast, and why they differ: what was done otherwise, and what that does not account for. */
export function OutcomePanel({ brew, outcome }: { brew: BrewView; outcome: BrewOutcome }) {
  const { planned, effects, remainder, asDone } = outcome;
  const beyond = OUTCOME_ORDER.filter((each) => remainder[each]?.isWithinBand === false);
  return (
    <div className="flex flex-col gap-3">
      <WideTable>
        <table className="w-full text-small">
          <thead>
            <tr>
              <th className={HEAD} scope="col">
                Figure
              </th>
              <th className={HEAD} scope="col">
                Forecast
              </th>
              {effects.length > 0 && (
                <th className={HEAD} scope="col">
                  Forecast for what you poured
                </th>
              )}
              <th className={HEAD} scope="col">
                Result
              </th>
              <th className={HEAD} scope="col">
                Unexplained
              </th>
            </tr>
          </thead>
          <tbody>
            {OUTCOME_ORDER.map((each) => {
              const { label, hue } = OUTCOME_WORDS[each];
              const { unit, digits, show, showMeasured = show } = WORDS[each];
              const left = remainder[each];
              return (
                <tr key={each}>
                  <th className={classes(CELL, 'text-left font-normal')} scope="row">
                    {label}
                  </th>
                  <td className={classes(CELL, 'reading whitespace-nowrap', hue)}>
                    {show(planned[each].value)}
                    <span className="ml-2 text-tiny text-quiet">
                      {show(planned[each].low)} to {show(planned[each].high)}
                    </span>
                  </td>
                  {effects.length > 0 && (
                    <td className={classes(CELL, 'reading', hue)}>{show(asDone[each].value)}</td>
                  )}
                  <td className={classes(CELL, 'reading font-semibold', hue)}>
                    {left ? showMeasured(asDone[each].value + left.missedBy) : '–'}
                  </td>
                  <td className={CELL}>
                    {left ? (
                      <>
                        <span className="reading">{formatSigned(left.missedBy, digits)}</span> {unit}
                        <span
                          className={classes(
                            'ml-1 text-tiny',
                            left.isWithinBand ? 'text-quiet' : 'font-semibold text-alarm',
                          )}
                        >
                          {left.isWithinBand ? 'within its band' : 'outside its band'}
                        </span>
                      </>
                    ) : (
                      <span className="text-quiet">not measured</span>
                    )}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </WideTable>
      {effects.length > 0 && (
        <ul aria-label="What was done differently" className="text-small">
          {effects.map(({ departure, by }) => (
            <li key={departure}>
              {departureWords(departure, brew)}: <Moved by={by} />
            </li>
          ))}
        </ul>
      )}
      {beyond.map((each) => (
        <p key={each} className="text-small">
          <span className="font-semibold">{OUTCOME_WORDS[each].label}:</span> {BEYOND[each]}
        </p>
      ))}
      <p className="caption">
        {planned.isRough
          ? 'No brew was measured before this one: the forecast is a rough range for lots like it. '
          : 'Forecast from the brews before this one. '}
        The band holds 9 brews in 10; what each difference did is the model’s estimate.
      </p>
    </div>
  );
}

/** What a departure moved, as far as its figures show it. */
function Moved({ by }: { by: Record<OutcomeOf, number> }) {
  const moved = OUTCOME_ORDER.map((each) => ({
    each,
    shown: formatSigned(by[each], WORDS[each].digits),
  })).filter(({ shown }) => /[1-9]/.test(shown));
  return (
    <span className="text-quiet">
      {moved.map(({ each, shown }, index) => (
        <span key={each}>
          {index > 0 && ', '}
          {OUTCOME_WORDS[each].label.toLowerCase()} <span className="reading">{shown}</span>{' '}
          {WORDS[each].unit}
        </span>
      ))}
    </span>
  );
}
