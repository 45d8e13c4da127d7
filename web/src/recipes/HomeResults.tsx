import { KITCHEN_TASTE_WORDS, KITCHEN_TASTES, formatDuration } from '@vendu/core';
import { useHomeResultsQuery } from '../api/recipesApi';

const HEAD = 'py-1 pl-3 text-right font-normal';
const CELL = 'reading py-1.5 pl-3 text-right whitespace-nowrap';

/** What kitchens told of the public card: by grinder, apart from what the lab measured. */
export function HomeResults({ recipeId }: { recipeId: number }) {
  const { data: told } = useHomeResultsQuery(recipeId);
  if (!told) return null;
  const tastes = KITCHEN_TASTES.flatMap((taste) => {
    const count = told.tastes[taste];
    return count === undefined ? [] : [`${count} ${KITCHEN_TASTE_WORDS[taste]}`];
  });
  return (
    <section>
      <h2 className="heading mb-1">Home results</h2>
      {told.count === 0 ? (
        <p className="text-small text-quiet">
          Nobody has told yet how the card came out at home. Its page asks for time, taste and grinder.
        </p>
      ) : (
        <>
          <p className="text-small">
            {told.count} told: {tastes.join(', ')}. Kept apart from what the lab measured.
          </p>
          <table className="w-full text-small">
            <thead>
              <tr className="border-b border-rule text-left text-quiet">
                <th className="py-1 font-normal">Grinder</th>
                <th className={HEAD}>Told</th>
                <th className={HEAD}>Setting</th>
                <th className={HEAD}>Right at</th>
                <th className={HEAD}>Drained</th>
              </tr>
            </thead>
            <tbody>
              {told.grinders.map(({ grinder, count, drainedS, medianSetting, rightAt }) => (
                <tr key={grinder} className="border-b border-rule align-baseline">
                  <th scope="row" className="py-1.5 text-left font-normal">
                    {grinder === '' ? 'not listed' : grinder}
                  </th>
                  <td className={CELL}>{count}</td>
                  <td className={CELL}>{medianSetting ?? '–'}</td>
                  <td className={CELL}>{rightAt ? `${rightAt.low} to ${rightAt.high}` : '–'}</td>
                  <td className={`${CELL} text-time`}>{formatDuration(Math.round(drainedS.mean))}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </>
      )}
    </section>
  );
}
