import { Plus, X } from 'lucide-react';
import { useState } from 'react';
import { GrinderDto, type GrinderView, type KitView } from '@vendu/contract';
import type { MeasuredPoint } from '@vendu/core';
import { Button } from '../ui/Button';
import { Notice } from '../ui/Notice';
import { QuantityField } from '../ui/QuantityField';
import { DECIMAL, GRAMS, KILOGRAMS, MICROMETRES } from '../ui/quantities';
import { FiguresForm } from './FiguresForm';
import { GrinderWords as Words } from './GrinderWords';
import { ReferenceBrew } from './ReferenceBrew';
import { useSaveKit } from './useSaveKit';
import { withoutId } from './withoutId';

/** A grinder with one burr set; the same grinder with other burrs is another calibration. */
export function GrinderForm({
  kit,
  grinder,
  onLeave,
}: {
  kit: KitView;
  grinder: GrinderView | null;
  onLeave: () => void;
}) {
  const save = useSaveKit();
  return (
    <FiguresForm
      draftKey={`kit.grinder.${grinder?.id ?? 'new'}`}
      dto={GrinderDto}
      initial={
        grinder
          ? withoutId(grinder)
          : { name: '', burrSet: '', owner: '', settingStep: 1, points: [], words: [], revision: null }
      }
      fields={[
        { field: 'name', label: 'Grinder', kind: 'text' },
        { field: 'burrSet', label: 'Burr set', kind: 'text', hint: 'other burrs need another calibration' },
        { field: 'owner', label: 'Whose', kind: 'text', hint: 'empty for the lab; a neighbour, a customer' },
        { field: 'settingStep', label: 'Smallest step', kind: 'figure', quantity: DECIMAL },
        {
          field: 'finestSetting',
          label: 'Finest setting',
          kind: 'figure',
          quantity: DECIMAL,
          isOptional: true,
          hint: 'where its scale begins',
        },
        {
          field: 'coarsestSetting',
          label: 'Coarsest setting',
          kind: 'figure',
          quantity: DECIMAL,
          isOptional: true,
          hint: 'where its scale ends',
        },
        {
          field: 'burrsKg',
          label: 'Ground so far',
          kind: 'figure',
          quantity: KILOGRAMS,
          isOptional: true,
          hint: 'age of the burrs: fines grow with it',
        },
        {
          field: 'retainedG',
          label: 'Stays in it',
          kind: 'figure',
          quantity: GRAMS,
          isOptional: true,
          hint: 'of a dose',
        },
      ]}
      more={(values, change, errors) => (
        <>
          <Points points={values.points ?? []} onChange={(points) => change({ points })} errors={errors} />
          <Words words={values.words ?? []} onChange={(words) => change({ words })} errors={errors} />
          <ReferenceBrew kit={kit} onPoints={(points) => change({ points })} />
        </>
      )}
      onSave={(body) => save({ part: 'grinders', id: grinder?.id ?? null, body })}
      onLeave={onLeave}
    />
  );
}

function Points({
  points,
  onChange,
  errors,
}: {
  points: readonly MeasuredPoint[];
  onChange: (points: MeasuredPoint[]) => void;
  errors: Record<string, string>;
}) {
  const put = (index: number, changed: Partial<MeasuredPoint>) =>
    onChange(points.map((point, at) => (at === index ? { ...point, ...changed } : point)));
  return (
    <fieldset>
      <legend className="heading mb-2 w-full">Measured points</legend>
      {errors['points'] && <Notice tone="alarm">{errors['points']}</Notice>}
      <ul className="flex flex-col gap-2">
        {points.map((point, index) => (
          <li key={index} className="grid grid-cols-[1fr_1fr_1fr_auto] gap-3">
            <QuantityField
              labelHidden
              label={`Setting of point ${index + 1}`}
              quantity={DECIMAL}
              value={point.setting}
              onCommit={(setting) => put(index, { setting })}
              error={errors[`points.${index}.setting`]}
            />
            <QuantityField
              labelHidden
              label={`Size of point ${index + 1}`}
              quantity={MICROMETRES}
              value={point.grindUm}
              onCommit={(grindUm) => put(index, { grindUm })}
              error={errors[`points.${index}.grindUm`]}
            />
            <QuantityField
              labelHidden
              label={`Uncertainty of point ${index + 1}`}
              quantity={MICROMETRES}
              value={point.sdUm ?? null}
              onCommit={(sdUm) => put(index, { sdUm })}
              placeholder="± 5 %"
              error={errors[`points.${index}.sdUm`]}
            />
            <Button
              weight="quiet"
              aria-label={`Remove point ${index + 1}`}
              onClick={() => onChange(points.filter((_, at) => at !== index))}
            >
              <X aria-hidden size={16} />
            </Button>
          </li>
        ))}
      </ul>
      <NewPoint onAdd={(point) => onChange([...points, point])} />
    </fieldset>
  );
}

/** A point is added when both of its figures were typed: a blank one would pass for a measurement. */
function NewPoint({ onAdd }: { onAdd: (point: MeasuredPoint) => void }) {
  const [setting, setSetting] = useState<number | null>(null);
  const [grindUm, setGrindUm] = useState<number | null>(null);
  return (
    <div className="mt-2 grid grid-cols-[1fr_1fr_1fr_auto] gap-3">
      <QuantityField
        labelHidden
        label="Setting of a new point"
        quantity={DECIMAL}
        value={setting}
        onCommit={setSetting}
        placeholder="setting"
      />
      <QuantityField
        labelHidden
        label="Size of a new point"
        quantity={MICROMETRES}
        value={grindUm}
        onCommit={setGrindUm}
        placeholder="measured size"
      />
      <Button
        onClick={() => {
          if (setting === null || grindUm === null) return;
          onAdd({ setting, grindUm });
          setSetting(null);
          setGrindUm(null);
        }}
      >
        <Plus aria-hidden size={16} /> Add the point
      </Button>
    </div>
  );
}
