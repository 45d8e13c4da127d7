import { Plus, X } from 'lucide-react';
import {
  addPour,
  AGITATIONS,
  parseMassOrMultipleG,
  removePour,
  runningTotalsG,
  setPourAmount,
  setRunningTotal,
  type Agitation,
  type BrewPlan,
  type Pour,
  type Result,
} from '@vendu/core';
import { Button } from '../ui/Button';
import { INPUT } from '../ui/Field';
import { QuantityField } from '../ui/QuantityField';
import { CLOCK, FLOW, GRAMS, within, type Quantity } from '../ui/quantities';

interface PourTableProps {
  plan: BrewPlan;
  onEdit: (plan: BrewPlan) => void;
  /** Complaints by path in the plan, as `pours.1.startS`. */
  faults: Record<string, string>;
}

const HEAD = 'border-b border-ink pb-1 pr-3 text-left text-tiny font-medium text-quiet';
const CELL = 'border-b border-rule py-1.5 pr-3 align-top';

/** The pours as figures: running totals and amounts side by side, either can be typed. */
export function PourTable({ plan, onEdit, faults }: PourTableProps) {
  const totals = runningTotalsG(plan);
  const amount: Quantity = {
    ...within(GRAMS, { label: 'Amount', min: 1, max: 3000 }),
    parse: (text) => parseMassOrMultipleG({ text, doseG: plan.doseG }),
  };

  /** Takes an edit of the pours, or answers why it cannot be. */
  function take(edited: Result<Pour[], string>): string | undefined {
    if (!edited.ok) return edited.message;
    onEdit({ ...plan, pours: edited.value });
    return undefined;
  }
  function change(index: number, changed: Partial<Pour>) {
    onEdit({ ...plan, pours: plan.pours.map((pour, at) => (at === index ? { ...pour, ...changed } : pour)) });
  }

  return (
    <div>
      <table className="w-full">
        <thead>
          <tr>
            <th className={HEAD}>Pour</th>
            <th className={HEAD}>Start</th>
            <th className={HEAD}>Amount</th>
            <th className={HEAD}>Running total</th>
            <th className={HEAD}>Flow</th>
            <th className={HEAD}>Then</th>
            <th className={HEAD}>
              <span className="sr-only">Remove</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {plan.pours.map((pour, index) => {
            const name = pour.isBloom ? 'Bloom' : `Pour ${index + 1}`;
            return (
              <tr key={index}>
                <td className={`${CELL} w-24`}>
                  <span className="flex h-9 items-center font-semibold">{name}</span>
                  {pour.isBloom && (
                    <span className="reading caption">{(pour.amountG / plan.doseG).toFixed(1)}x dose</span>
                  )}
                </td>
                <td className={`${CELL} w-28`}>
                  <QuantityField
                    labelHidden
                    label={`${name}, start`}
                    quantity={within(CLOCK, { label: 'Start', min: 0, max: 3600 })}
                    value={pour.startS}
                    onCommit={(startS) => change(index, { startS })}
                    error={faults[`pours.${index}.startS`]}
                  />
                </td>
                <td className={`${CELL} w-32`}>
                  <QuantityField
                    labelHidden
                    label={`${name}, amount`}
                    quantity={amount}
                    value={pour.amountG}
                    onOffer={(amountG) => take(setPourAmount({ pours: plan.pours, index, amountG }))}
                    error={faults[`pours.${index}.amountG`]}
                  />
                </td>
                <td className={`${CELL} w-32`}>
                  <QuantityField
                    labelHidden
                    label={`${name}, running total`}
                    quantity={GRAMS}
                    value={totals[index] ?? null}
                    onOffer={(totalG) => take(setRunningTotal({ pours: plan.pours, index, totalG }))}
                  />
                </td>
                <td className={`${CELL} w-28`}>
                  <QuantityField
                    labelHidden
                    label={`${name}, flow`}
                    quantity={within(FLOW, { label: 'Flow', min: 1, max: 25 })}
                    value={pour.flowGps}
                    onCommit={(flowGps) => change(index, { flowGps })}
                    error={faults[`pours.${index}.flowGps`]}
                  />
                </td>
                <td className={`${CELL} w-28`}>
                  <select
                    aria-label={`${name}, agitation after it`}
                    className={INPUT}
                    value={pour.agitation}
                    onChange={(event) => change(index, { agitation: event.target.value as Agitation })}
                  >
                    {AGITATIONS.map((agitation) => (
                      <option key={agitation} value={agitation}>
                        {agitation === 'none' ? 'nothing' : agitation}
                      </option>
                    ))}
                  </select>
                </td>
                <td className={`${CELL} w-10 pr-0`}>
                  <Button
                    weight="quiet"
                    aria-label={`Remove ${name}`}
                    className="px-2"
                    disabled={plan.pours.length === 1}
                    onClick={() => take(removePour({ pours: plan.pours, index }))}
                  >
                    <X aria-hidden size={16} />
                  </Button>
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <Button weight="quiet" className="mt-2 -ml-3" onClick={() => take(addPour(plan.pours))}>
        <Plus aria-hidden size={16} /> Split the last pour
      </Button>
    </div>
  );
}
