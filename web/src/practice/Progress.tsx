import { CartesianGrid, Line, LineChart, XAxis, YAxis } from 'recharts';
import { SCORED, type Scored } from '@vendu/core';
import type { PracticeView } from '@vendu/contract';
import { dayAndTimeOf } from '../ui/dates';
import { Fitted } from '../ui/Fitted';
import { WideTable } from '../ui/WideTable';

const STROKE: Record<Scored, string> = {
  flow: 'var(--color-flow)',
  timing: 'var(--color-time)',
  totals: 'var(--color-water)',
  steadiness: 'var(--color-ink)',
};
const HEIGHT = 170;
/** Ends of lines closer than this have one name between them, points. */
const ONE_NAME_WITHIN = 9;

/** What stands at the end of each line: its name, or those of all that end there at the uppermost of them. */
function namesAtEnd(points: Record<Scored, number> | null): Partial<Record<Scored, string>> {
  if (!points) return {};
  const names: Partial<Record<Scored, string>> = {};
  let uppermost: Scored | null = null;
  for (const each of [...SCORED].sort((a, b) => points[b] - points[a])) {
    if (uppermost !== null && points[uppermost] - points[each] < ONE_NAME_WITHIN) {
      names[uppermost] = `${names[uppermost] ?? ''}, ${each}`;
    } else {
      uppermost = each;
      names[each] = each;
    }
  }
  return names;
}

/** One's own runs over time, and the latest of the lab. */
export function Progress({ runs }: { runs: PracticeView[] }) {
  const own = runs.filter(({ isOwn }) => isOwn).reverse();
  const names = namesAtEnd(own.at(-1)?.score.points ?? null);
  const rows = own.map(({ score }, index) => ({ run: index + 1, ...score.points }));
  return (
    <section>
      <h2 className="heading mb-2">Your progress</h2>
      {rows.length < 2 ? (
        <p className="text-small text-quiet">
          {rows.length === 0
            ? 'You have not done this exercise yet.'
            : 'One run so far; the next one draws a line.'}
        </p>
      ) : (
        <div aria-hidden>
          <Fitted height={HEIGHT}>
            {(width) => (
              <LineChart
                width={width}
                height={HEIGHT}
                data={rows}
                accessibilityLayer={false}
                margin={{ left: -24, right: 110 }}
              >
                <CartesianGrid stroke="var(--color-rule)" vertical={false} />
                <XAxis dataKey="run" stroke="var(--color-quiet)" fontSize={11} />
                <YAxis domain={[0, 100]} ticks={[0, 50, 100]} stroke="var(--color-quiet)" fontSize={11} />
                {SCORED.map((each) => (
                  <Line
                    key={each}
                    dataKey={each}
                    stroke={STROKE[each]}
                    strokeWidth={2}
                    dot={false}
                    isAnimationActive={false}
                    label={({ index, x, y }: { index?: number; x?: number | string; y?: number | string }) =>
                      index === rows.length - 1 && names[each] ? (
                        <text x={Number(x) + 5} y={Number(y) + 4} fontSize={11} fill={STROKE[each]}>
                          {names[each]}
                        </text>
                      ) : (
                        <g />
                      )
                    }
                  />
                ))}
              </LineChart>
            )}
          </Fitted>
        </div>
      )}
      {runs.length > 0 && (
        <WideTable>
          <table className="mt-4 w-full text-small">
            <caption className="heading mb-1 text-left">Latest runs in the lab</caption>
            <thead>
              <tr className="text-left text-tiny text-quiet">
                <th className="border-b border-ink font-medium">Who, when</th>
                {SCORED.map((each) => (
                  <th key={each} className="border-b border-ink text-right font-medium">
                    {each}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {runs.slice(0, 8).map(({ id, by, at, score }) => (
                <tr key={id}>
                  <td className="border-b border-rule py-1">
                    {by} <span className="text-quiet">{dayAndTimeOf(at)}</span>
                  </td>
                  {SCORED.map((each) => (
                    <td key={each} className="reading border-b border-rule text-right">
                      {score.points[each]}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </WideTable>
      )}
    </section>
  );
}
