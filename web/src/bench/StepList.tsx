import { memo } from 'react';
import {
  dueWords,
  formatClock,
  latenessS,
  planAgainstActual,
  type BrewPlan,
  type StepComparison,
  type StepDone,
} from '@vendu/core';
import { useAppDispatch } from '../state/hooks';
import { classes } from '../ui/classes';
import { QuantityField } from '../ui/QuantityField';
import { CELSIUS, GRAMS, inRange } from '../ui/quantities';
import { soFar, type BenchBrew } from './benchBrew';
import { brewTold } from './benchSlice';
import { StepName } from './StepName';
import { secondsWords, stepWords } from './stepWords';
import { WideTable } from '../ui/WideTable';

const HEAD = 'border-b border-ink pb-1 pr-3 text-left text-tiny font-medium text-quiet';
const CELL = 'border-b border-rule py-0.5 pr-3 h-10';

const BY_EYE = { instrument: '', isSimulated: false };

/**
 * The plan against what was marked; what the scale showed can be written beside each pour. Its fields stand still while
 * the clock runs: it is drawn again only when something was marked.
 */
export const StepList = memo(function StepList({
  brew,
  plan,
  done,
}: {
  brew: BenchBrew;
  plan: BrewPlan;
  done: readonly StepDone[];
}) {
  const dispatch = useAppDispatch();
  const { key } = brew;
  const readTotal = (stepIndex: number, totalG: number | null) =>
    dispatch(brewTold({ key, happened: { kind: 'total-read', stepIndex, totalG } }));
  const readKettle = (stepIndex: number, kettleC: number) =>
    dispatch(brewTold({ key, happened: { kind: 'kettle-read', stepIndex, kettleC, ...BY_EYE } }));
  return (
    <WideTable>
      <table className="w-full text-small">
        <thead>
          <tr>
            <th className={HEAD}>Step</th>
            <th className={HEAD}>Plan</th>
            <th className={HEAD}>Done</th>
            <th className={HEAD}>Total, plan</th>
            <th className={HEAD}>Scale showed</th>
            <th className={HEAD}>Kettle was</th>
          </tr>
        </thead>
        <tbody>
          {planAgainstActual({ plan, done }).map((row, stepIndex) => (
            <tr key={stepIndex} className={row.doneS === null && !row.skipped ? 'text-quiet' : ''}>
              <td className={`${CELL} font-semibold`}>
                <StepName step={row.step} />
              </td>
              <td className={`${CELL} reading`}>{dueWords(row.step)}</td>
              <td className={`${CELL} reading`}>
                <Done row={row} />
              </td>
              <td className={`${CELL} reading text-water`}>
                {row.step.kind === 'pour' ? `${row.step.totalG} g` : ''}
              </td>
              <td className={`${CELL} w-32`}>
                {row.step.kind === 'pour' && row.doneS !== null && (
                  <QuantityField
                    labelHidden
                    leavesOnEnter
                    label={`${stepWords(row.step).doing}, scale showed`}
                    quantity={inRange(GRAMS, { label: 'Total on the scale', min: 0, max: 5000 })}
                    value={row.doneTotalG}
                    onCommit={(totalG) => void readTotal(stepIndex, totalG)}
                    onClear={() => readTotal(stepIndex, null)}
                    placeholder="not read"
                  />
                )}
              </td>
              <td className={`${CELL} w-28`}>
                {row.step.kind === 'pour' && row.doneS !== null && (
                  <QuantityField
                    labelHidden
                    leavesOnEnter
                    label={`${stepWords(row.step).doing}, kettle was`}
                    quantity={inRange(CELSIUS, { label: 'Kettle', min: 20, max: 100 })}
                    value={kettleAt(brew, row.doneS)}
                    onCommit={(kettleC) => readKettle(stepIndex, kettleC)}
                    placeholder="–"
                  />
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </WideTable>
  );
});

/** What was read at the kettle for the pour of that moment; the last word counts. */
function kettleAt(brew: BenchBrew, atS: number): number | null {
  const read = soFar(brew).events.findLast((event) => event.kind === 'kettle-read' && event.atS === atS);
  return read?.kind === 'kettle-read' ? read.kettleC : null;
}

function Done({ row }: { row: StepComparison }) {
  if (row.skipped) return <span className="font-words">skipped</span>;
  if (row.doneS === null) return <span>–</span>;
  // By the figures shown, so that plan, done and lateness add up to the eye.
  const late = latenessS(row.step, Math.floor(row.doneS)) ?? 0;
  return (
    <>
      <span className="font-semibold text-ink">{formatClock(row.doneS)}</span>
      {late !== 0 && (
        <span className={classes('ml-2 text-tiny', Math.abs(late) > 5 ? 'text-alarm' : 'text-quiet')}>
          {late > 0 ? `${secondsWords(late)} late` : `${secondsWords(-late)} early`}
        </span>
      )}
    </>
  );
}
