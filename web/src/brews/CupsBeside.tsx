import { useState } from 'react';
import { CartesianGrid, Line, LineChart, XAxis, YAxis } from 'recharts';
import { alignSeries, formatDuration, type Fraction, type SplitCup } from '@vendu/core';
import type { BrewView } from '@vendu/contract';
import { useLotQuery } from '../api/lotsApi';
import { Choice } from '../ui/Choice';
import { INPUT } from '../ui/Field';
import { Fitted } from '../ui/Fitted';
import { TICK } from '../ui/chartTick';

const HEIGHT = 200;
const FEWEST_READ = 3;

type By = 'time' | 'mass';

/** Another split brew of the lot laid beside this one, by time or by mass; nothing where there is no other. */
export function CupsBeside({ brew, cups }: { brew: BrewView; cups: readonly SplitCup[] }) {
  const { data: lot } = useLotQuery(brew.lot.id);
  const others = (lot?.brews ?? []).filter(
    ({ id, cups: of }) => id !== brew.id && seriesOf(of).filter(isRead).length >= FEWEST_READ,
  );
  const [chosenId, setChosenId] = useState<number | null>(null);
  const [by, setBy] = useState<By>('time');
  const own = seriesOf(cups);
  const other = others.find(({ id }) => id === chosenId) ?? others.at(-1);
  if (!other || own.filter(isRead).length < FEWEST_READ) return null;
  const aligned = alignSeries({ first: seriesOf(other.cups), second: own, by });
  if (!aligned.ok) return null;
  return (
    <section className="mt-6" aria-label="Beside another series">
      <h3 className="heading mb-2">Beside another series</h3>
      <div className="mb-2 flex flex-wrap items-center gap-3 text-small">
        <label className="flex items-center gap-2 whitespace-nowrap">
          Laid beside
          <select
            className={`${INPUT} w-40`}
            value={other.id}
            onChange={({ target }) => setChosenId(Number(target.value))}
          >
            {others.map(({ id, number, versionNumber }) => (
              <option key={id} value={id}>
                brew {number}, version {versionNumber}
              </option>
            ))}
          </select>
        </label>
        <Choice
          label="By"
          value={by}
          options={[
            { value: 'time', label: 'by time' },
            { value: 'mass', label: 'by mass' },
          ]}
          onChange={setBy}
        />
      </div>
      <p className="mb-2 text-small">{delayWords(aligned.value.delay, by, other.number)}</p>
      <div aria-hidden>
        <Fitted height={HEIGHT}>
          {(width) => (
            <LineChart
              width={width}
              height={HEIGHT}
              data={aligned.value.points}
              accessibilityLayer={false}
              margin={{ top: 8, right: 24, bottom: 4, left: 0 }}
            >
              <CartesianGrid stroke="var(--color-rule)" vertical={false} />
              <XAxis
                dataKey="at"
                type="number"
                domain={[0, 'dataMax']}
                tickFormatter={(at: number) =>
                  by === 'time' ? formatDuration(Math.round(at)) : `${Math.round(at)} g`
                }
                stroke="var(--color-ink)"
                tick={TICK}
              />
              <YAxis width={46} stroke="var(--color-strength)" tick={TICK} />
              <Line
                dataKey="secondTdsPercent"
                stroke="var(--color-strength)"
                strokeWidth={2.5}
                connectNulls
                isAnimationActive={false}
                dot={{ r: 3 }}
              />
              <Line
                dataKey="firstTdsPercent"
                stroke="var(--color-quiet)"
                strokeWidth={2}
                strokeDasharray="5 3"
                connectNulls
                isAnimationActive={false}
                dot={{ r: 2 }}
              />
            </LineChart>
          )}
        </Fitted>
        <p className="flex gap-4 pl-12 text-tiny">
          <span className="text-strength">strength of each cup of this brew, %</span>
          <span className="text-quiet">dashed: brew {other.number}</span>
        </p>
      </div>
    </section>
  );
}

const isRead = ({ tdsPercent }: Fraction) => tdsPercent !== null;

/** Each cup begins where the one before it ended. */
function seriesOf(cups: readonly SplitCup[]): Fraction[] {
  return cups.flatMap(({ endS, beverageG, tdsPercent }, index) =>
    beverageG === null
      ? []
      : [{ startS: cups[index - 1]?.endS ?? 0, endS, beverageG, tdsPercent, wanted: null }],
  );
}

/** Shorter than this nobody can tell two series apart. */
const SAME = { time: 3, mass: 5 } as const;

function delayWords(delay: number | null, by: By, number: number): string {
  if (delay === null) return 'Too few of their cups were read to say how they lie to each other.';
  if (Math.abs(delay) < SAME[by])
    return `It runs as brew ${number} does, ${by === 'time' ? 'second by second' : 'gram by gram'}.`;
  const apart =
    by === 'time' ? `${Math.round(Math.abs(delay))} s` : `${Math.round(Math.abs(delay))} g of beverage`;
  return `It runs ${apart} ${delay > 0 ? 'behind' : 'ahead of'} brew ${number}: its strengths lie over each other best so.`;
}
