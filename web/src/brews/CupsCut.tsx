import { cumulativeFractions, formatDuration, turnOf, type Fraction, type Turn } from '@vendu/core';
import type { BrewView, FractionDto } from '@vendu/contract';
import { useRecipeQuery } from '../api/recipesApi';
import { Recut } from './Recut';

/** The cups added up, and the recipe that would stop where they turn; nothing before two of them were weighed. */
export function CupsCut({ brew, cups }: { brew: BrewView; cups: readonly FractionDto[] }) {
  const { data: recipe } = useRecipeQuery(brew.recipeId);
  const fractions = weighed(cups);
  const points = cumulativeFractions({ fractions, doseG: brew.doseG });
  const last = fractions.at(-1);
  if (fractions.length < 2 || !points.ok || !last) return null;
  const turn = turnOf({ fractions });
  const version = recipe?.versions[0];
  return (
    <section className="mt-6" aria-label="Where to cut">
      <h3 className="heading mb-2">Where to cut</h3>
      <p className="mb-2 text-small text-quiet">{turn.ok ? turnWords(turn.value) : turn.message}</p>
      {version && (
        <Recut
          // Other cups, other turns: the cut begins where they say.
          key={JSON.stringify(turn.ok ? turn.value.atS : last.endS)}
          brew={brew}
          version={version}
          fractions={fractions}
          points={points.value}
          turnS={turn.ok ? turn.value.atS : null}
        />
      )}
    </section>
  );
}

/** Cups from the first on as far as each was weighed. */
function weighed(cups: readonly FractionDto[]): Fraction[] {
  const fractions: Fraction[] = [];
  for (const { startS, endS, beverageG, tdsPercent, isWanted } of cups) {
    if (beverageG === null) break;
    fractions.push({ startS, endS, beverageG, tdsPercent, wanted: isWanted });
  }
  return fractions;
}

function turnWords({ atS, beverageG, basis }: Turn): string {
  const where = `at ${formatDuration(Math.round(atS))}, after ${beverageG.toFixed(0)} g`;
  return basis === 'taste'
    ? `The cups turn ${where}: from there on they were not wanted.`
    : `The strengths bend ${where}; nobody marked which cups are wanted.`;
}
