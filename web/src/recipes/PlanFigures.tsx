import { celsiusToFahrenheit, planRatio, planWaterG, setWater, type BrewPlan } from '@vendu/core';
import { QuantityField } from '../ui/QuantityField';
import { CELSIUS, CLOCK, GRAMS, MICROMETRES, RATIO, whole, within } from '../ui/quantities';

interface PlanFiguresProps {
  plan: BrewPlan;
  onEdit: (plan: BrewPlan) => void;
  faults: Record<string, string>;
  /** What the house grinder says to this grind. */
  settingHint: string;
}

/** The figures beside the pours. Water and ratio are two readings of one thing: changing either moves the pours. */
export function PlanFigures({ plan, onEdit, faults, settingHint }: PlanFiguresProps) {
  const waterG = planWaterG(plan);
  function rewater(wantedG: number): string | undefined {
    const edited = setWater({ pours: plan.pours, waterG: wantedG });
    if (!edited.ok) return edited.message;
    onEdit({ ...plan, pours: edited.value });
    return undefined;
  }
  return (
    <div className="grid grid-cols-3 gap-x-3 gap-y-3 md:grid-cols-6">
      <QuantityField
        label="Dose"
        quantity={within(GRAMS, { label: 'Dose', min: 5, max: 120 })}
        value={plan.doseG}
        onCommit={(doseG) => onEdit({ ...plan, doseG })}
        error={faults['doseG']}
      />
      <QuantityField
        label="Ratio"
        quantity={within(RATIO, { label: 'Ratio', min: 5, max: 40 })}
        value={planRatio(plan)}
        onOffer={(ratio) => rewater(Math.round(plan.doseG * ratio))}
        hint="moves the water"
      />
      <QuantityField
        label="Water"
        quantity={within(GRAMS, { label: 'Water', min: 20, max: 5000 })}
        value={waterG}
        onOffer={rewater}
      />
      <QuantityField
        label="Kettle"
        quantity={within(CELSIUS, { label: 'Kettle', min: 60, max: 100 })}
        value={plan.kettleC}
        onCommit={(kettleC) => onEdit({ ...plan, kettleC })}
        error={faults['kettleC']}
        hint={`${Math.round(celsiusToFahrenheit({ temperatureC: plan.kettleC }))} °F`}
      />
      <QuantityField
        label="Grind"
        quantity={whole(within(MICROMETRES, { label: 'Grind', min: 200, max: 2000 }))}
        value={plan.grindUm}
        onCommit={(grindUm) => onEdit({ ...plan, grindUm })}
        error={faults['grindUm']}
        hint={settingHint}
      />
      <QuantityField
        label="Drained at"
        quantity={within(CLOCK, { label: 'Drain time', min: 30, max: 3600 })}
        value={plan.drawdownS}
        onCommit={(drawdownS) => onEdit({ ...plan, drawdownS })}
        error={faults['drawdownS']}
      />
    </div>
  );
}
