import { Merge, Plus, Split, X } from 'lucide-react';
import { toast } from 'sonner';
import {
  addPour,
  joinWithNext,
  AGITATIONS,
  parseMassOrMultipleG,
  pouredAtC,
  removePour,
  runningTotalsG,
  setPourAmount,
  setRunningTotal,
  splitPour,
  withAgitation,
  type Agitation,
  type BrewPlan,
  type Pour,
  type Result,
} from '@vendu/core';
import { Button } from '../ui/Button';
import { INPUT } from '../ui/Field';
import { QuantityField } from '../ui/QuantityField';
import { CELSIUS, CLOCK, FLOW, GRAMS, inRange, type Quantity } from '../ui/quantities';
import { nameOfPour } from './nameOfPour';
import { without } from './without';
import { AGITATION_NAMES } from '../ui/words';
import { WideTable } from '../ui/WideTable';

interface PourTableProps {
  plan: BrewPlan;
  roomC: number;
  /** Takes an edit, or answers why it cannot be. */
  onOffer: (plan: BrewPlan) => string | undefined;
  selected: number | null;
  onSelect: (index: number) => void;
  /** Complaints by path in the plan, as `pours.1.startS`. */
  faults: Record<string, string>;
}

const HEAD = 'border-b border-ink pb-1 pr-3 text-left text-tiny font-medium text-quiet';
const CELL = 'border-b border-rule py-1.5 pr-3 align-top';

/** The pours as figures: running totals and amounts side by side, either can be typed. */
export function PourTable({ plan, roomC, onOffer, selected, onSelect, faults }: PourTableProps) {
  const totals = runningTotalsG(plan);
  const kettlesC = pouredAtC(plan, roomC);
  const amount: Quantity = {
    ...inRange(GRAMS, { label: 'Amount', min: 1, max: 3000 }),
    parse: (text) => parseMassOrMultipleG({ text, doseG: plan.doseG }),
  };

  /** Takes an edit of the pours, or answers why it cannot be. */
  function take(edited: Result<Pour[]>): string | undefined {
    return edited.ok ? onOffer({ ...plan, pours: edited.value }) : edited.message;
  }
  function change(index: number, changed: Partial<Pour>): string | undefined {
    return onOffer({
      ...plan,
      pours: plan.pours.map((pour, at) => (at === index ? { ...pour, ...changed } : pour)),
    });
  }

  function agitate(index: number, agitation: Agitation) {
    const pours = plan.pours.map((pour, at) => (at === index ? withAgitation(pour, agitation) : pour));
    onOffer({ ...plan, pours });
  }
  function takePlan(edited: Result<BrewPlan>) {
    if (edited.ok) onOffer(edited.value);
    else toast(edited.message);
  }
  function setKettle(index: number, kettleC: number | undefined): string | undefined {
    const pours = plan.pours.map((pour, at) => {
      if (at !== index) return pour;
      return kettleC === undefined ? without(pour, 'kettleC') : { ...pour, kettleC };
    });
    return onOffer({ ...plan, pours });
  }

  return (
    <div>
      <WideTable>
        <table className="w-full min-w-176">
          <thead>
            <tr>
              <th className={HEAD}>Pour</th>
              <th className={HEAD}>Start</th>
              <th className={HEAD}>Amount</th>
              <th className={HEAD}>Running total</th>
              <th className={HEAD}>Flow</th>
              <th className={HEAD}>Kettle</th>
              <th className={HEAD}>Then</th>
              <th className={HEAD}>
                <span className="sr-only">Split, join, remove</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {plan.pours.map((pour, index) => {
              const name = nameOfPour(pour, index);
              return (
                <tr
                  key={index}
                  className={selected === index ? 'bg-wash' : undefined}
                  onFocusCapture={() => onSelect(index)}
                >
                  <td className={`${CELL} w-24`}>
                    <span className="flex h-9 items-center font-semibold">{name}</span>
                    {pour.isBloom && (
                      <span className="reading caption">{(pour.amountG / plan.doseG).toFixed(1)}x dose</span>
                    )}
                  </td>
                  <td className={`${CELL} w-24`}>
                    <QuantityField
                      labelHidden
                      label={`${name}, start`}
                      quantity={inRange(CLOCK, { label: 'Start', min: 0, max: 3600 })}
                      value={pour.startS}
                      onOffer={(startS) => change(index, { startS })}
                      error={faults[`pours.${index}.startS`]}
                    />
                  </td>
                  <td className={`${CELL} w-24`}>
                    <QuantityField
                      labelHidden
                      label={`${name}, amount`}
                      quantity={amount}
                      value={pour.amountG}
                      onOffer={(amountG) => take(setPourAmount({ pours: plan.pours, index, amountG }))}
                      error={faults[`pours.${index}.amountG`]}
                    />
                  </td>
                  <td className={`${CELL} w-24`}>
                    <QuantityField
                      labelHidden
                      label={`${name}, running total`}
                      quantity={GRAMS}
                      value={totals[index] ?? null}
                      onOffer={(totalG) => take(setRunningTotal({ pours: plan.pours, index, totalG }))}
                    />
                  </td>
                  <td className={`${CELL} w-24`}>
                    <QuantityField
                      labelHidden
                      label={`${name}, flow`}
                      quantity={inRange(FLOW, { label: 'Flow', min: 1, max: 25 })}
                      value={pour.flowGps}
                      onOffer={(flowGps) => change(index, { flowGps })}
                      error={faults[`pours.${index}.flowGps`]}
                    />
                  </td>
                  <td className={`${CELL} w-24`}>
                    <QuantityField
                      labelHidden
                      label={`${name}, kettle`}
                      quantity={inRange(CELSIUS, { label: 'Kettle', min: 60, max: 100 })}
                      value={pour.kettleC ?? null}
                      onOffer={(kettleC) => setKettle(index, kettleC)}
                      onClear={() => setKettle(index, undefined)}
                      placeholder={CELSIUS.format(kettlesC[index] ?? plan.kettleC)}
                      error={faults[`pours.${index}.kettleC`]}
                    />
                  </td>
                  <td className={`${CELL} w-32`}>
                    <select
                      aria-label={`${name}, agitation after it`}
                      className={INPUT}
                      value={pour.agitation}
                      onChange={({ target }) => agitate(index, target.value as Agitation)}
                    >
                      {AGITATIONS.map((agitation) => (
                        <option key={agitation} value={agitation}>
                          {AGITATION_NAMES[agitation]}
                        </option>
                      ))}
                    </select>
                  </td>
                  <td className={`${CELL} w-28 pr-0 whitespace-nowrap`}>
                    <Button
                      weight="quiet"
                      aria-label={`Split ${name}`}
                      title="Split in two"
                      className="px-1.5"
                      onClick={() => takePlan(splitPour({ plan, index }))}
                    >
                      <Split aria-hidden size={16} />
                    </Button>
                    <Button
                      weight="quiet"
                      aria-label={`Join ${name} with the next`}
                      title="Join with the next"
                      className="px-1.5"
                      disabled={index === plan.pours.length - 1}
                      onClick={() => takePlan(joinWithNext({ plan, index }))}
                    >
                      <Merge aria-hidden size={16} />
                    </Button>
                    <Button
                      weight="quiet"
                      aria-label={`Remove ${name}`}
                      title="Remove; its water goes to the next pour"
                      className="px-1.5"
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
      </WideTable>
      <Button weight="quiet" className="mt-2 -ml-3" onClick={() => take(addPour(plan.pours))}>
        <Plus aria-hidden size={16} /> Split the last pour
      </Button>
    </div>
  );
}
