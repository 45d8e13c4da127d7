import type { Figure, FigureReason, StartingReasons } from '@vendu/core';
import { formatDuration } from '@vendu/core';
import { Explain } from '../ui/Explain';

const FIGURE_WORDS: Record<Figure, { name: string; print: (value: number) => string }> = {
  ratio: { name: 'Ratio', print: (value) => `1:${value}` },
  kettleC: { name: 'Kettle', print: (value) => `${value} °C` },
  grindUm: { name: 'Grind', print: (value) => `${value} µm` },
  bloomMultiple: { name: 'Bloom', print: (value) => `${value}x dose` },
  bloomS: { name: 'Bloom time', print: (value) => formatDuration(value) },
  mainPours: { name: 'Pours after the bloom', print: (value) => String(value) },
  bloomSwirls: { name: 'Swirl after the bloom', print: (value) => (value > 0 ? 'yes' : 'no') },
  drawdownS: { name: 'Drain time', print: (value) => formatDuration(value) },
};

const LIMIT_WORDS = {
  'usual-span': 'held at the end of the usual span',
  'boiling-point': 'held at the boiling point of the lab’s elevation',
};

function signed(value: number): string {
  return `${value > 0 ? '+' : '−'}${Math.abs(value)}`;
}

/** Every figure of the starting recipe with what moved it; each opens to show the way from the house recipe. */
export function ReasonList({ reasons }: { reasons: StartingReasons }) {
  return (
    <ul className="text-small">
      {reasons.figures.map((reason) => (
        <ReasonRow key={reason.figure} reason={reason} />
      ))}
      {reasons.derived.map(({ figure, because }) => (
        <li key={figure} className="grid grid-cols-[6.5rem_1fr] gap-x-2 border-b border-rule py-1.5">
          <span className="text-quiet first-letter:uppercase">{figure}</span>
          <span>{because}</span>
        </li>
      ))}
    </ul>
  );
}

function ReasonRow({ reason }: { reason: FigureReason }) {
  const { name, print } = FIGURE_WORDS[reason.figure];
  const spoke = reason.steps.filter(({ overruledBy }) => overruledBy === null);
  const overruled = reason.steps.filter(({ overruledBy }) => overruledBy !== null);
  return (
    <li className="grid grid-cols-[6.5rem_4.5rem_1fr] gap-x-2 border-b border-rule py-1.5">
      <span className="text-quiet">{name}</span>
      <span className="reading font-medium">{print(reason.value)}</span>
      <span>
        {spoke.length === 0 ? (
          <span className="text-quiet">as in the house recipe</span>
        ) : (
          spoke.map(({ ruleId, because }) => (
            <span key={ruleId} className="block">
              {because}
            </span>
          ))
        )}
        {overruled.length > 0 && (
          <span className="block text-quiet">
            against: {overruled.map(({ because }) => because).join('; ')}
          </span>
        )}
        <Explain label={`Where ${name.toLowerCase()} comes from`} trigger="how it adds up">
          <p className="mb-2 font-semibold">{name}</p>
          <table className="w-full">
            <tbody>
              <tr>
                <td className="py-1 pr-3">house recipe</td>
                <td className="reading py-1 text-right whitespace-nowrap">{print(reason.houseValue)}</td>
              </tr>
              {reason.steps.map(({ ruleId, because, by, overruledBy }) => (
                <tr key={ruleId} className={overruledBy ? 'text-quiet line-through' : ''}>
                  <td className="py-1 pr-3">{because}</td>
                  <td className="reading py-1 text-right align-top">{signed(by)}</td>
                </tr>
              ))}
              {reason.limitedBy && (
                <tr>
                  <td className="py-1 pr-3 text-quiet" colSpan={2}>
                    {LIMIT_WORDS[reason.limitedBy]}
                  </td>
                </tr>
              )}
              <tr className="border-t border-ink font-semibold">
                <td className="py-1 pr-3">proposed</td>
                <td className="reading py-1 text-right whitespace-nowrap">{print(reason.value)}</td>
              </tr>
            </tbody>
          </table>
          <p className="caption mt-2">
            Directions are common practice; the sizes are this house’s first steps, not measurements.
          </p>
        </Explain>
      </span>
    </li>
  );
}
