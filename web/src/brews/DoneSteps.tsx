import { dueWords, formatClock, planAgainstActual } from '@vendu/core';
import type { BrewView, CorrectionView } from '@vendu/contract';
import { troubleOf } from '../api/problem';
import { StepName } from '../bench/StepName';
import { stepWords } from '../bench/stepWords';
import { TroubleNotice } from '../ui/Notice';
import { QuantityField } from '../ui/QuantityField';
import { CLOCK, GRAMS, inRange } from '../ui/quantities';
import { useMendStepMutation } from '../api/brewsApi';
import { WideTable } from '../ui/WideTable';

const HEAD = 'border-b border-ink pb-1 pr-3 text-left text-tiny font-medium text-quiet';
const CELL = 'border-b border-rule py-0.5 pr-3';

/** What was marked, step by step. A misread time or total can be mended; what was first marked is shown beside it. */
export function DoneSteps({ brew }: { brew: BrewView }) {
  const [mend, { error }] = useMendStepMutation();
  const rows = planAgainstActual({ plan: brew.plan, done: brew.steps });
  return (
    <>
      <WideTable>
        <table className="mt-3 w-full text-small">
          <thead>
            <tr>
              <th className={HEAD}>Step</th>
              <th className={HEAD}>Plan</th>
              <th className={HEAD}>Marked at</th>
              <th className={HEAD}>Scale showed</th>
              <th className={HEAD}>First marked</th>
            </tr>
          </thead>
          <tbody>
            {rows.map(({ step, doneS, doneTotalG, skipped }, stepIndex) => {
              const words = stepWords(step).doing;
              const save = (mended: { atS: number; totalG: number | null }) =>
                void mend({ id: brew.id, stepIndex, mended: { ...mended, revision: brew.revision } });
              return (
                <tr key={stepIndex}>
                  <td className={`${CELL} font-semibold`}>
                    <StepName step={step} />
                  </td>
                  <td className={`${CELL} reading`}>{dueWords(step)}</td>
                  <td className={`${CELL} w-28`}>
                    {doneS === null ? (
                      <span className="text-quiet">{skipped ? 'skipped' : 'not reached'}</span>
                    ) : (
                      <QuantityField
                        labelHidden
                        label={`${words} was at`}
                        quantity={inRange(CLOCK, { label: 'Time', min: 0, max: 7200 })}
                        // As the clock showed it when it was marked.
                        value={Math.floor(doneS)}
                        onCommit={(atS) => save({ atS, totalG: doneTotalG })}
                      />
                    )}
                  </td>
                  <td className={`${CELL} w-28`}>
                    {step.kind === 'pour' && doneS !== null && (
                      <QuantityField
                        labelHidden
                        label={`${words} ended on`}
                        quantity={inRange(GRAMS, { label: 'Total on the scale', min: 0, max: 5000 })}
                        value={doneTotalG}
                        onCommit={(totalG) => save({ atS: doneS, totalG })}
                        onClear={() => save({ atS: doneS, totalG: null })}
                        placeholder="–"
                      />
                    )}
                  </td>
                  <td className={`${CELL} reading text-quiet`}>{firstMarked(brew.corrections, stepIndex)}</td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </WideTable>
      <TroubleNotice trouble={troubleOf(error)} />
    </>
  );
}

/** The first entries of what was mended, the time before the total. */
function firstMarked(corrections: readonly CorrectionView[], stepIndex: number): string {
  const first = (field: CorrectionView['field']) =>
    corrections.find((each) => each.field === field)?.fromValue ?? null;
  const [atS, totalG] = [first(`step.${stepIndex}.atS`), first(`step.${stepIndex}.totalG`)];
  return [atS === null ? null : formatClock(atS), totalG === null ? null : `${totalG} g`]
    .filter((each) => each !== null)
    .join(', ');
}
