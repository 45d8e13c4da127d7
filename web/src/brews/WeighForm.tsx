import { beverageFault, planWaterG } from '@vendu/core';
import type { BrewView, CorrectionView } from '@vendu/contract';
import { byField, troubleOf } from '../api/problem';
import { useDraft } from '../app/draft';
import { Button } from '../ui/Button';
import { dayAndTimeOf } from '../ui/dates';
import { Field, INPUT } from '../ui/Field';
import { Notice, TroubleNotice } from '../ui/Notice';
import { QuantityField } from '../ui/QuantityField';
import { GRAMS, within } from '../ui/quantities';
import { useWeighBrewMutation, useBrewQuery } from './brewsApi';

interface WeighDraft {
  /** The brew’s revision when the first figure was typed: whoever saves in between is not overwritten unseen. */
  revision: number;
  doseG: number | null;
  waterG: number | null;
  beverageG: number | null;
  note: string;
}

/** Dose, water and beverage as weighed. The first entry of each is kept when it is altered later. */
export function WeighForm({ brew }: { brew: BrewView }) {
  const stored: WeighDraft = {
    revision: brew.revision,
    doseG: brew.doseBasis === 'as-weighed' ? brew.doseG : null,
    waterG: brew.waterBasis === 'as-weighed' ? brew.waterG : null,
    beverageG: brew.beverageG,
    note: brew.note,
  };
  const [draft, change, drop] = useDraft<WeighDraft | null>(`brew.${brew.id}.weigh`, null);
  const [weigh, { error, isLoading, reset }] = useWeighBrewMutation();
  const { refetch } = useBrewQuery(brew.id);
  const figures = draft ?? stored;
  const trouble = troubleOf(error);
  const errors = byField(trouble?.errors ?? []);
  const set = (changed: Partial<WeighDraft>) => {
    if (error) reset();
    change({ ...figures, ...changed });
  };
  async function goOnWithMine() {
    const { data: theirs } = await refetch();
    if (theirs) set({ revision: theirs.revision });
  }
  async function save() {
    const { data } = await weigh({ id: brew.id, weighed: figures });
    if (!data) return;
    change(null);
    drop();
  }
  return (
    <div className="flex flex-col gap-3">
      <div className="grid grid-cols-3 gap-3">
        <QuantityField
          label="Dose"
          quantity={within(GRAMS, { label: 'Dose', min: 5, max: 120 })}
          value={figures.doseG}
          onCommit={(doseG) => set({ doseG })}
          onClear={() => set({ doseG: null })}
          placeholder={`plan ${brew.plan.doseG}`}
          error={errors['doseG']}
        />
        <QuantityField
          label="Water poured"
          quantity={within(GRAMS, { label: 'Water poured', min: 20, max: 5000 })}
          value={figures.waterG}
          onCommit={(waterG) => set({ waterG })}
          onClear={() => set({ waterG: null })}
          placeholder={`plan ${planWaterG(brew.plan)}`}
          error={errors['waterG']}
        />
        <QuantityField
          label="Beverage"
          quantity={within(GRAMS, { label: 'Beverage', min: 10, max: 5000 })}
          value={figures.beverageG}
          onOffer={(beverageG) => {
            const fault = beverageFault({ beverageG, waterG: figures.waterG ?? brew.waterG });
            if (fault) return fault.message;
            set({ beverageG });
            return undefined;
          }}
          onClear={() => set({ beverageG: null })}
          placeholder="none"
          error={errors['beverageG']}
        />
      </div>
      <Field label="Notes" error={errors['note']}>
        {(control) => (
          <textarea
            {...control}
            rows={2}
            className={`${INPUT} h-auto py-1.5`}
            value={figures.note}
            onChange={(event) => set({ note: event.target.value })}
          />
        )}
      </Field>
      {trouble?.kind === 'stale' ? (
        <Notice tone="alarm">
          {trouble.detail} Your figures are kept here.{' '}
          <Button onClick={() => void goOnWithMine()}>Go on with mine</Button>
        </Notice>
      ) : (
        trouble && trouble.errors.length === 0 && <TroubleNotice trouble={trouble} />
      )}
      {draft && (
        <div className="flex gap-2">
          <Button weight="main" disabled={isLoading} onClick={() => void save()}>
            Save what was weighed
          </Button>
          <Button
            weight="quiet"
            onClick={() => {
              change(null);
              drop();
              reset();
            }}
          >
            Discard
          </Button>
        </div>
      )}
      <Corrections corrections={brew.corrections} />
    </div>
  );
}

const FIELD_WORDS = {
  doseG: 'Dose',
  waterG: 'Water poured',
  beverageG: 'Beverage',
} as const;

/** Marks that were mended are told where they stand, with the steps. */
function isWeighed(field: CorrectionView['field']): field is keyof typeof FIELD_WORDS {
  return field in FIELD_WORDS;
}

function Corrections({ corrections }: { corrections: readonly CorrectionView[] }) {
  return (
    <ul className="caption">
      {corrections.map(
        ({ field, fromValue, toValue, by, at }) =>
          isWeighed(field) && (
            <li key={`${field}${at}`}>
              {FIELD_WORDS[field]} first written <span className="reading">{fromValue} g</span>, corrected to{' '}
              <span className="reading">{toValue === null ? 'not weighed' : `${toValue} g`}</span> by {by},{' '}
              {dayAndTimeOf(at)}
            </li>
          ),
      )}
    </ul>
  );
}
