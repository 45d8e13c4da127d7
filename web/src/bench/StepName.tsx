import type { BenchStep } from '@vendu/core';
import { agitatingWords, stepWords } from './stepWords';

/** A step in a table: its doing, and under it how an agitation is done and when. */
export function StepName({ step }: { step: BenchStep }) {
  const how = [agitatingWords(step), step.kind === 'agitate' ? step.onlyIf : null].filter(
    (each) => each !== null,
  );
  return (
    <>
      {stepWords(step).doing}
      {how.length > 0 && <span className="block text-tiny font-normal text-quiet">{how.join(', ')}</span>}
    </>
  );
}
