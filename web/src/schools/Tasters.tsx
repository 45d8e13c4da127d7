import type { TasterHabit } from '@vendu/core';
import { useTastersQuery } from '../api/tastersApi';
import { useScrollToHash } from '../ui/useScrollToHash';
import { WideTable } from '../ui/WideTable';

const HEAD = 'border-b border-ink pb-1 pr-5 text-left text-tiny font-medium text-quiet';
const CELL = 'border-b border-rule py-1.5 pr-5 align-baseline';

/** How everybody reads beside those who tasted the same cups. In the order of names: it is no ranking. */
export function Tasters() {
  const { data: tasters } = useTastersQuery();
  useScrollToHash(tasters !== undefined);
  if (!tasters) return null;
  return (
    <section id="tasters" className="mt-10 scroll-mt-4">
      <h2 className="heading mb-1">How each of us reads</h2>
      <p className="caption mb-3 max-w-3xl">
        Scores beside the mean of the others for the same cup at the same stage, from the newest 3,000 sheets
        that were written before another’s was seen. It says how somebody reads, not who is right: know it
        when you read a sheet. A habit is told from six brews on, where chance alone would make it less than
        once in a hundred times.
      </p>
      {tasters.length === 0 ? (
        <p className="text-small">Nobody has tasted anything yet.</p>
      ) : (
        <WideTable>
          <table className="w-full max-w-4xl text-small">
            <thead>
              <tr>
                <th className={HEAD}>Taster</th>
                <th className={`${HEAD} text-right`}>Sheets</th>
                <th className={HEAD}>Habits</th>
              </tr>
            </thead>
            <tbody>
              {tasters.map(({ personId, name, sheets, habits }) => (
                <tr key={personId}>
                  <th scope="row" className={`${CELL} text-left font-semibold`}>
                    {name}
                  </th>
                  <td className={`${CELL} reading text-right`}>{sheets}</td>
                  <td className={CELL}>
                    <Habits habits={habits} />
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </WideTable>
      )}
    </section>
  );
}

function Habits({ habits }: { habits: readonly TasterHabit[] }) {
  const told = habits.filter(({ isHabit }) => isHabit);
  const brews = Math.max(0, ...habits.map((habit) => habit.brews));
  if (told.length === 0) {
    return (
      <span className="text-quiet">
        {brews === 0 ? 'no cup yet that others scored too' : `none told, ${brews} brews beside others`}
      </span>
    );
  }
  return told.map(({ attribute, byPoints, withinPoints, brews: over }) => (
    <span key={attribute} className="mr-4 inline-block">
      reads <strong>{attribute}</strong>{' '}
      <span className="reading">
        {Math.abs(byPoints).toFixed(1)} ± {withinPoints.toFixed(1)}
      </span>{' '}
      {byPoints > 0 ? 'higher' : 'lower'}, {over} brews
    </span>
  ));
}
