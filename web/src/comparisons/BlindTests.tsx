import { type DesignFault } from '@vendu/core';
import type { ComparisonView } from '@vendu/contract';
import { Fold } from '../ui/Fold';
import { BlindTest } from './BlindTest';
import { NewBlindTest } from './NewBlindTest';
import { Tournament } from './Tournament';

/** Cups that are tasted without knowing, the newest first, and a way to lay out more. */
export function BlindTests({
  comparison,
  faults,
  isLead,
}: {
  comparison: ComparisonView;
  faults: readonly DesignFault[];
  isLead: boolean;
}) {
  const { tests } = comparison;
  return (
    <section className="min-w-0">
      <h2 className="heading mb-3">Tasted without knowing</h2>
      <Tournament comparison={comparison} />
      {[...tests].reverse().map((test) => (
        <BlindTest key={test.id} comparison={comparison} test={test} faults={faults} isLead={isLead} />
      ))}
      {tests.length === 0 ? (
        <NewBlindTest comparison={comparison} />
      ) : (
        <Fold summary="Lay out other cups">
          <NewBlindTest comparison={comparison} />
        </Fold>
      )}
    </section>
  );
}
