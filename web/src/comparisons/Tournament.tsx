import { armLetter, bradleyTerry, TASTING_STAGES, type TastingStage } from '@vendu/core';
import type { BlindTestView, ComparisonView } from '@vendu/contract';
import { TASTING_STAGE_WORDS } from '../ui/words';

/** Where the arms stand after preferences by pairs, over all that were opened. */
export function Tournament({ comparison: { arms, tests } }: { comparison: ComparisonView }) {
  const opened = tests.filter(({ method, results }) => method === 'paired' && results !== null);
  if (arms.length < 3 || opened.length < 2) return null;
  const stages = TASTING_STAGES.filter((stage) => opened.some(({ stages: own }) => own.includes(stage)));
  return (
    <section className="mb-6">
      <h3 className="mb-1 text-large font-semibold">By pairs</h3>
      {stages.map((stage) => (
        <Standings key={stage} stage={stage} wins={winsAt(opened, stage, arms.length)} arms={arms} />
      ))}
    </section>
  );
}

function Standings({
  stage,
  wins,
  arms,
}: {
  stage: TastingStage;
  wins: readonly (readonly number[])[];
  arms: ComparisonView['arms'];
}) {
  const found = bradleyTerry(wins);
  const title = TASTING_STAGE_WORDS[stage];
  if (!found) {
    return (
      <p className="text-small">
        {title}: more pairs are needed; an arm that never met the others, or never lost, has no place among
        them.
      </p>
    );
  }
  const order = found
    .map((standing, place) => ({ ...standing, place, name: arms[place]?.brewerName ?? '' }))
    .sort((a, b) => b.logOdds - a.logOdds);
  return (
    <table className="mb-3 w-full max-w-xl text-small">
      <caption className="py-1 text-left font-medium">
        {title}: chance to be preferred to the average of them
      </caption>
      <tbody>
        {order.map(({ place, name, logOdds, sd }) => (
          <tr key={place} className="border-t border-rule">
            <th scope="row" className="w-40 py-1 pr-3 text-left font-normal">
              <b>{armLetter(place)}</b> {name}
            </th>
            <td className="w-full py-1">
              <Span value={logOdds} sd={sd} />
            </td>
            <td className="reading py-1 pl-3 whitespace-nowrap">
              {hundred(logOdds)} ({hundred(logOdds - 1.96 * sd)} to {hundred(logOdds + 1.96 * sd)})
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** A point and where it lies 95 % of the time, on a line from never to always. */
function Span({ value, sd }: { value: number; sd: number }) {
  const [low, high] = [chance(value - 1.96 * sd), chance(value + 1.96 * sd)];
  return (
    <span aria-hidden className="relative block h-4">
      <span className="absolute inset-y-0 left-1/2 border-l border-rule" />
      <span
        className="absolute top-1/2 h-0.5 -translate-y-1/2 bg-edge"
        style={{ left: `${low * 100}%`, width: `${(high - low) * 100}%` }}
      />
      <span
        className="absolute top-1/2 h-3 w-1 -translate-x-1/2 -translate-y-1/2 bg-ink"
        style={{ left: `${chance(value) * 100}%` }}
      />
    </span>
  );
}

const chance = (logOdds: number) => 1 / (1 + Math.exp(-logOdds));
const hundred = (logOdds: number) => String(Math.round(100 * chance(logOdds)));

function winsAt(tests: readonly BlindTestView[], stage: TastingStage, arms: number): number[][] {
  const wins = Array.from({ length: arms }, () => Array.from({ length: arms }, () => 0));
  for (const { arms: inIt, results } of tests) {
    const figures = results?.find((result) => result.stage === stage)?.figures;
    const [first, second] = inIt;
    if (figures?.kind !== 'preferred' || first === undefined || second === undefined) continue;
    const [rowOfFirst, rowOfSecond] = [wins[first], wins[second]];
    if (rowOfFirst) rowOfFirst[second] = (rowOfFirst[second] ?? 0) + (figures.votes[0] ?? 0);
    if (rowOfSecond) rowOfSecond[first] = (rowOfSecond[first] ?? 0) + (figures.votes[1] ?? 0);
  }
  return wins;
}
