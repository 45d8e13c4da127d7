import { BEVERAGE_MIXINGS, endWords, type BeverageMixing, type BrewPlan } from '@vendu/core';
import { Field, INPUT } from '../ui/Field';
import type { FeederView } from '@vendu/contract';
import { QuantityField } from '../ui/QuantityField';
import { CLOCK, CUPS, FLOW, GRAMS, SECONDS, whole, inRange } from '../ui/quantities';
import { Tick } from '../ui/Tick';
import { FromKit } from './FromKit';
import { without } from './without';

interface OtherStepsProps {
  plan: BrewPlan;
  onOffer: (plan: BrewPlan) => string | undefined;
  faults: Record<string, string>;
  feeders: readonly FeederView[];
}

/** Steps that are no pours: what stands on the brewer, the chilled ball, the kettle's lid, how the brew ends, what is done to the beverage. */
export function OtherSteps({ plan, onOffer, faults, feeders }: OtherStepsProps) {
  const regulators = feeders.flatMap(({ flowGps, ...each }) =>
    flowGps === null ? [] : [{ ...each, flowGps }],
  );
  const plates = feeders.filter(({ kind }) => kind === 'shower-plate').map(({ name }) => name);
  return (
    <fieldset className="grid grid-cols-2 items-start gap-x-3 gap-y-3 sm:grid-cols-3">
      <legend className="sr-only">Other steps</legend>
      <QuantityField
        label="Flow regulator"
        quantity={inRange(FLOW, { label: 'Flow regulator', min: 0.5, max: 25 })}
        value={plan.regulatorGps ?? null}
        onOffer={(regulatorGps) => onOffer({ ...plan, regulatorGps })}
        onClear={() => onOffer(without(plan, 'regulatorGps'))}
        error={faults['regulatorGps']}
        placeholder="none"
        hint="on top, takes all pours"
      />
      <QuantityField
        label="Chilled ball until"
        quantity={whole(inRange(CLOCK, { label: 'Chilled ball', min: 1, max: 600 }))}
        value={plan.ballUntilS ?? null}
        onOffer={(ballUntilS) => onOffer({ ...plan, ballUntilS })}
        onClear={() => onOffer(without(plan, 'ballUntilS'))}
        error={faults['ballUntilS']}
        placeholder="no ball"
        hint="under the outlet from the start"
      />
      <QuantityField
        label="Lid opened at"
        quantity={whole(inRange(CLOCK, { label: 'Lid opened at', min: 0, max: 3600 }))}
        value={plan.lidOpensS ?? null}
        onOffer={(lidOpensS) => onOffer({ ...plan, lidOpensS })}
        onClear={() => onOffer(without(plan, 'lidOpensS'))}
        error={faults['lidOpensS']}
        placeholder="stays shut"
        hint="kettle off its heat, cooling from then"
      />
      <QuantityField
        label="End within"
        quantity={whole(inRange(SECONDS, { label: 'End within', min: 1, max: 120 }))}
        value={plan.endWithinS ?? null}
        onOffer={(endWithinS) => onOffer({ ...plan, endWithinS })}
        onClear={() => onOffer(without(plan, 'endWithinS'))}
        error={faults['endWithinS']}
        placeholder="one moment"
        hint={plan.endWithinS === undefined ? 'how much later is still on plan' : `ends ${endWords(plan)}`}
      />
      <QuantityField
        label="Bypass"
        quantity={inRange(GRAMS, { label: 'Bypass', min: 1, max: 1000 })}
        value={plan.bypassG ?? null}
        onOffer={(bypassG) => onOffer({ ...plan, bypassG })}
        onClear={() => onOffer(without(plan, 'bypassG'))}
        placeholder="none"
        hint="water added to the finished beverage"
      />
      <Field label="Beverage" error={faults['beverageMixed']}>
        {(control) => (
          <select
            {...control}
            className={INPUT}
            value={plan.beverageMixed ?? ''}
            onChange={({ target }) =>
              onOffer(
                target.value === ''
                  ? without(plan, 'beverageMixed')
                  : { ...plan, beverageMixed: target.value as BeverageMixing },
              )
            }
          >
            <option value="">left as it is</option>
            {BEVERAGE_MIXINGS.map((how) => (
              <option key={how} value={how}>
                {how} before serving
              </option>
            ))}
          </select>
        )}
      </Field>
      <QuantityField
        className="col-span-full"
        label="Fractions"
        quantity={CUPS}
        value={plan.cups ?? null}
        onOffer={(cups) => onOffer({ ...plan, cups })}
        onClear={() => onOffer(without(plan, 'cups'))}
        error={faults['cups']}
        placeholder="one cup"
        hint="a row of cups: every 30 s, 0:40 1:15 2:00, or 90 150 g on the scale"
      />
      <FromKit
        label="Regulators of the kit"
        things={regulators}
        figureOf={({ flowGps }) => `${flowGps} g/s`}
        onTake={({ flowGps }) => onOffer({ ...plan, regulatorGps: flowGps })}
      />
      <div className="col-span-full grid grid-cols-1 gap-x-3 sm:grid-cols-3">
        {SWITCHES.map(({ field, words }) => (
          <Tick
            key={field}
            label={field === 'showerPlate' && plates.length > 0 ? `${words}: ${plates.join(' or ')}` : words}
            checked={plan[field] ?? false}
            onChange={(isOn) => onOffer(isOn ? { ...plan, [field]: true } : switchedOff(plan, field))}
            error={faults[field]}
          />
        ))}
      </div>
      <p className="caption col-span-full">
        The forecast takes a shower plate as rain on all of the bed. It does not feel needles in a dry bed,
        nor what is done to the beverage.
      </p>
    </fieldset>
  );
}

type Switch = 'showerPlate' | 'needlesDry' | 'lifts' | 'tailApart' | 'decants';

const SWITCHES: readonly { field: Switch; words: string }[] = [
  { field: 'showerPlate', words: 'Shower plate on top' },
  { field: 'needlesDry', words: 'Needles through the dry bed' },
  { field: 'lifts', words: 'Lift the brewer at the end' },
  { field: 'tailApart', words: 'Tail into its own cup' },
  { field: 'decants', words: 'Decant the beverage' },
];

/** Without a lift there is no tail. */
function switchedOff(plan: BrewPlan, field: Switch): BrewPlan {
  const off: BrewPlan = without(plan, field);
  return field === 'lifts' ? without(off, 'tailApart') : off;
}
