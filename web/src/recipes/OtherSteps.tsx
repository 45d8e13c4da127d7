import { endWords, type BrewPlan } from '@vendu/core';
import { QuantityField } from '../ui/QuantityField';
import { CLOCK, FLOW, GRAMS, SECONDS, whole, within } from '../ui/quantities';
import { without } from './without';

interface OtherStepsProps {
  plan: BrewPlan;
  onOffer: (plan: BrewPlan) => string | undefined;
  faults: Record<string, string>;
}

/** Steps that are no pours: the flow regulator, the chilled ball, the kettle's lid, how the brew ends, water added to the cup. */
export function OtherSteps({ plan, onOffer, faults }: OtherStepsProps) {
  return (
    <fieldset className="grid grid-cols-2 items-start gap-x-3 gap-y-3 sm:grid-cols-3">
      <legend className="sr-only">Other steps</legend>
      <QuantityField
        label="Flow regulator"
        quantity={within(FLOW, { label: 'Flow regulator', min: 0.5, max: 25 })}
        value={plan.regulatorGps ?? null}
        onOffer={(regulatorGps) => onOffer({ ...plan, regulatorGps })}
        onClear={() => onOffer(without(plan, 'regulatorGps'))}
        error={faults['regulatorGps']}
        placeholder="none"
        hint="on top, takes all pours"
      />
      <QuantityField
        label="Chilled ball until"
        quantity={whole(within(CLOCK, { label: 'Chilled ball', min: 1, max: 600 }))}
        value={plan.ballUntilS ?? null}
        onOffer={(ballUntilS) => onOffer({ ...plan, ballUntilS })}
        onClear={() => onOffer(without(plan, 'ballUntilS'))}
        error={faults['ballUntilS']}
        placeholder="no ball"
        hint="under the outlet from the start"
      />
      <QuantityField
        label="Lid opened at"
        quantity={whole(within(CLOCK, { label: 'Lid opened at', min: 0, max: 3600 }))}
        value={plan.lidOpensS ?? null}
        onOffer={(lidOpensS) => onOffer({ ...plan, lidOpensS })}
        onClear={() => onOffer(without(plan, 'lidOpensS'))}
        error={faults['lidOpensS']}
        placeholder="stays shut"
        hint="kettle off its heat, cooling from then"
      />
      <QuantityField
        label="End within"
        quantity={whole(within(SECONDS, { label: 'End within', min: 1, max: 120 }))}
        value={plan.endWithinS ?? null}
        onOffer={(endWithinS) => onOffer({ ...plan, endWithinS })}
        onClear={() => onOffer(without(plan, 'endWithinS'))}
        error={faults['endWithinS']}
        placeholder="one moment"
        hint={plan.endWithinS === undefined ? 'how much later is still on plan' : `ends ${endWords(plan)}`}
      />
      <QuantityField
        label="Bypass"
        quantity={within(GRAMS, { label: 'Bypass', min: 1, max: 1000 })}
        value={plan.bypassG ?? null}
        onOffer={(bypassG) => onOffer({ ...plan, bypassG })}
        onClear={() => onOffer(without(plan, 'bypassG'))}
        placeholder="none"
        hint="water added to the finished beverage"
      />
      <label className="flex h-9 items-center gap-2 self-center text-small">
        <input
          type="checkbox"
          className="size-4 accent-ink"
          checked={plan.lifts ?? false}
          onChange={(event) => {
            onOffer(event.target.checked ? { ...plan, lifts: true } : without(plan, 'lifts'));
          }}
        />
        Lift the brewer at the end
      </label>
    </fieldset>
  );
}
