import { useState } from 'react';
import { concentrateDoses } from '@vendu/core';
import { WATER_ORIGINS, WaterDto, type WaterMix, type WaterOrigin, type WaterView } from '@vendu/contract';
import { Button } from '../ui/Button';
import { Field, INPUT } from '../ui/Field';
import { Notice } from '../ui/Notice';
import { QuantityField } from '../ui/QuantityField';
import { DECIMAL, GRAMS_FINE, LITRES, MG_PER_L, inRange } from '../ui/quantities';
import { FiguresForm } from './FiguresForm';
import { MixRecipe } from './MixRecipe';
import { useSaveKit } from './useSaveKit';

const ORIGIN_WORDS: Record<WaterOrigin, string> = {
  analysis: 'by analysis',
  mixed: 'mixed from concentrates',
};

/** Bottles nobody has described yet: every figure is to be typed from the label of the concentrate. */
const NEW_MIX: WaterMix = {
  bottleL: 5,
  base: { hardnessMgPerL: 0, alkalinityMgPerL: 0 },
  concentrates: [
    { name: '', hardnessPerG: 0, alkalinityPerG: 0, gPerL: 0 },
    { name: '', hardnessPerG: 0, alkalinityPerG: 0, gPerL: 0 },
  ],
};

export function WaterForm({ water, onLeave }: { water: WaterView | null; onLeave: () => void }) {
  const save = useSaveKit();
  return (
    <FiguresForm
      draftKey={`kit.water.${water?.id ?? 'new'}`}
      dto={WaterDto}
      initial={water ? pick(water) : { name: '', origin: 'analysis', mix: null, revision: null }}
      fields={[
        { field: 'name', label: 'Name', kind: 'text' },
        {
          field: 'origin',
          label: 'How it is known',
          kind: 'choice',
          options: WATER_ORIGINS.map((value) => ({ value, words: ORIGIN_WORDS[value] })),
        },
        { field: 'mineralsMgPerL', label: 'Total minerals', kind: 'figure', quantity: MG_PER_L },
        {
          field: 'hardnessMgPerL',
          label: 'Hardness, as CaCO3',
          kind: 'figure',
          quantity: MG_PER_L,
          hint: 'worked out for a mix',
        },
        {
          field: 'alkalinityMgPerL',
          label: 'Alkalinity, as CaCO3',
          kind: 'figure',
          quantity: MG_PER_L,
          hint: 'worked out for a mix',
        },
      ]}
      more={(values, change, errors) =>
        values.origin === 'mixed' && (
          <Mix
            mix={values.mix ?? NEW_MIX}
            target={{
              hardnessMgPerL: values.hardnessMgPerL ?? 0,
              alkalinityMgPerL: values.alkalinityMgPerL ?? 0,
            }}
            errors={errors}
            onChange={(mix) => change({ mix })}
          />
        )
      }
      onSave={(body) =>
        save({
          part: 'waters',
          id: water?.id ?? null,
          body: body.origin === 'mixed' ? body : { ...body, mix: null },
        })
      }
      onLeave={onLeave}
    />
  );
}

function pick({
  name,
  origin,
  hardnessMgPerL,
  alkalinityMgPerL,
  mineralsMgPerL,
  mix,
  revision,
}: WaterView): WaterDto {
  return { name, origin, hardnessMgPerL, alkalinityMgPerL, mineralsMgPerL, mix, revision };
}

function Mix({
  mix,
  target,
  errors,
  onChange,
}: {
  mix: WaterMix;
  target: { hardnessMgPerL: number; alkalinityMgPerL: number };
  errors: Record<string, string>;
  onChange: (mix: WaterMix) => void;
}) {
  const [missing, setMissing] = useState<string | null>(null);
  const put = (index: number, changed: Partial<WaterMix['concentrates'][number]>) =>
    onChange({
      ...mix,
      concentrates: mix.concentrates.map((each, at) => (at === index ? { ...each, ...changed } : each)),
    });
  function workOut() {
    const [first, second] = mix.concentrates;
    if (!first || !second) return;
    const found = concentrateDoses({ base: mix.base, target, concentrates: [first, second] });
    if (!found.ok) {
      setMissing(found.message);
      return;
    }
    const { dosesG, missing: left } = found.value;
    onChange({
      ...mix,
      concentrates: mix.concentrates.map((each, at) => ({
        ...each,
        gPerL: Math.round((dosesG[at] ?? 0) * 100) / 100,
      })),
    });
    const isHit = Math.abs(left.hardnessMgPerL) < 0.5 && Math.abs(left.alkalinityMgPerL) < 0.5;
    setMissing(
      isHit
        ? null
        : `These two concentrates cannot reach it: hardness is ${short(left.hardnessMgPerL)}, alkalinity ${short(left.alkalinityMgPerL)}.`,
    );
  }
  return (
    <fieldset className="flex flex-col gap-3">
      <legend className="heading mb-2 w-full">The mix</legend>
      {errors['mix'] && <Notice tone="alarm">{errors['mix']}</Notice>}
      <div className="grid grid-cols-3 gap-x-4">
        <QuantityField
          label="Bottle"
          quantity={inRange(LITRES, { label: 'Bottle', min: 0.1, max: 1000 })}
          value={mix.bottleL}
          onCommit={(bottleL) => onChange({ ...mix, bottleL })}
        />
        <QuantityField
          label="Hardness of the base"
          quantity={MG_PER_L}
          value={mix.base.hardnessMgPerL}
          onCommit={(hardnessMgPerL) => onChange({ ...mix, base: { ...mix.base, hardnessMgPerL } })}
        />
        <QuantityField
          label="Alkalinity of the base"
          quantity={MG_PER_L}
          value={mix.base.alkalinityMgPerL}
          onCommit={(alkalinityMgPerL) => onChange({ ...mix, base: { ...mix.base, alkalinityMgPerL } })}
        />
      </div>
      {mix.concentrates.map((concentrate, index) => (
        <div key={index} className="grid grid-cols-[2fr_1fr_1fr_1fr] gap-x-4">
          <Field label={`Concentrate ${index + 1}`} error={errors[`mix.concentrates.${index}.name`]}>
            {(control) => (
              <input
                {...control}
                className={INPUT}
                value={concentrate.name}
                onChange={(event) => put(index, { name: event.target.value })}
              />
            )}
          </Field>
          <QuantityField
            label="Hardness per g"
            quantity={DECIMAL}
            value={concentrate.hardnessPerG}
            onCommit={(hardnessPerG) => put(index, { hardnessPerG })}
          />
          <QuantityField
            label="Alkalinity per g"
            quantity={DECIMAL}
            value={concentrate.alkalinityPerG}
            onCommit={(alkalinityPerG) => put(index, { alkalinityPerG })}
          />
          <QuantityField
            label="For a litre"
            quantity={GRAMS_FINE}
            value={concentrate.gPerL}
            onCommit={(gPerL) => put(index, { gPerL })}
            error={errors[`mix.concentrates.${index}.gPerL`]}
          />
        </div>
      ))}
      <Button className="w-fit" onClick={workOut}>
        Work out the grams for hardness {target.hardnessMgPerL} and alkalinity {target.alkalinityMgPerL}
      </Button>
      {missing && <Notice>{missing}</Notice>}
      <MixRecipe mix={mix} />
    </fieldset>
  );
}

function short(by: number): string {
  if (Math.abs(by) < 0.5) return 'met';
  return by > 0 ? `${by.toFixed(0)} mg/L short` : `${(-by).toFixed(0)} mg/L too much`;
}
