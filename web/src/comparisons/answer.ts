import { answerWords, armLetter, figureApart, type BlindSaid, type DesignFault } from '@vendu/core';
import type { BlindTestView, ComparisonView } from '@vendu/contract';

/** What an opened test says of the arms that were in it. */
export function saidOf(
  comparison: ComparisonView,
  test: BlindTestView,
  faults: readonly DesignFault[],
): BlindSaid {
  const arms = test.arms.flatMap((place) => comparison.arms[place] ?? []);
  const [first, second, third] = arms;
  const isPair = first !== undefined && second !== undefined && third === undefined;
  return answerWords({
    results: test.results ?? [],
    names: test.arms.map((place) => armName(comparison, place)),
    faults,
    meter: isPair
      ? {
          strength: figureApart(first, second, 'tdsPercent'),
          yieldPoints: figureApart(first, second, 'yieldPercent'),
        }
      : null,
  });
}

/** By its brewer where that tells it from the others, else by its version. */
function armName({ arms }: ComparisonView, place: number): string {
  const arm = arms[place];
  if (!arm) return armLetter(place);
  const isTold = arms.every((other) => other === arm || other.brewerName !== arm.brewerName);
  return `${armLetter(place)} (${isTold ? arm.brewerName : `version ${arm.versionNumber}`})`;
}
