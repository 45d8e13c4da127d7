import type { ReactNode } from 'react';
import {
  celsiusToFahrenheit,
  planAllWaterG,
  planRatio,
  planWaterG,
  pouredForRatioG,
  roundToTenth,
  setWater,
  type BrewPlan,
  type Lock,
} from '@vendu/core';
import { QuantityField } from '../ui/QuantityField';
import { CELSIUS, CLOCK, GRAMS, MICROMETRES, RATIO, whole, inRange } from '../ui/quantities';
import { LockButton } from './LockButton';

interface PlanFiguresProps {
  plan: BrewPlan;
  /** Takes an edit, or answers why it cannot be. */
  onOffer: (plan: BrewPlan) => string | undefined;
  faults: Record<string, string>;
  /** What the house grinder says to this grind. */
  settingHint: string;
  locks: readonly Lock[];
  onLock: (lock: Lock) => void;
}

/** The figures beside the pours. Water and ratio are two readings of one thing: changing either moves the pours. */
export function PlanFigures({ plan, onOffer, faults, settingHint, locks, onLock }: PlanFiguresProps) {
  const waterG = planWaterG(plan);
  function rewater(wantedG: number): string | undefined {
    const edited = setWater({ pours: plan.pours, waterG: wantedG });
    return edited.ok ? onOffer({ ...plan, pours: edited.value }) : edited.message;
  }
  function reratio(ratio: number): string | undefined {
    if (locks.includes('ratio')) return 'The ratio is locked; unlock it first.';
    // With the water locked the dose is what can give.
    return locks.includes('water')
      ? onOffer({ ...plan, doseG: roundToTenth(planAllWaterG(plan) / ratio) })
      : rewater(pouredForRatioG(plan, ratio));
  }
  const lockable = (lock: Lock, field: ReactNode) => (
    <div className="grid grid-cols-[minmax(0,1fr)_auto] gap-x-0.5">
      {field}
      <div className="pt-6">
        <LockButton label={lock} isLocked={locks.includes(lock)} onToggle={() => onLock(lock)} />
      </div>
    </div>
  );
  return (
    <div className="grid grid-cols-3 gap-x-3 gap-y-3 md:grid-cols-6">
      {lockable(
        'dose',
        <QuantityField
          label="Dose"
          quantity={inRange(GRAMS, { label: 'Dose', min: 5, max: 120 })}
          value={plan.doseG}
          onOffer={(doseG) => onOffer({ ...plan, doseG })}
          error={faults['doseG']}
        />,
      )}
      {lockable(
        'ratio',
        <QuantityField
          label="Ratio"
          quantity={inRange(RATIO, { label: 'Ratio', min: 5, max: 40 })}
          value={planRatio(plan)}
          onOffer={reratio}
        />,
      )}
      {lockable(
        'water',
        <QuantityField
          label="Water"
          quantity={inRange(GRAMS, { label: 'Water', min: 20, max: 5000 })}
          value={waterG}
          onOffer={rewater}
        />,
      )}
      <QuantityField
        label="Kettle"
        quantity={inRange(CELSIUS, { label: 'Kettle', min: 60, max: 100 })}
        value={plan.kettleC}
        onOffer={(kettleC) => onOffer({ ...plan, kettleC })}
        error={faults['kettleC']}
        hint={`${Math.round(celsiusToFahrenheit({ temperatureC: plan.kettleC }))} °F`}
      />
      <QuantityField
        label="Grind"
        quantity={whole(inRange(MICROMETRES, { label: 'Grind', min: 200, max: 2000 }))}
        value={plan.grindUm}
        onOffer={(grindUm) => onOffer({ ...plan, grindUm })}
        error={faults['grindUm']}
        hint={settingHint}
      />
      <QuantityField
        label="Drained at"
        quantity={inRange(CLOCK, { label: 'Drain time', min: 30, max: 3600 })}
        value={plan.drawdownS}
        onOffer={(drawdownS) => onOffer({ ...plan, drawdownS })}
        error={faults['drawdownS']}
      />
    </div>
  );
}
