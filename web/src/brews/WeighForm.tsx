import { useRef } from 'react';
import { addedWaterG, beverageFault, grindingOf, planWaterG } from '@vendu/core';
import type { BrewView, CorrectionView, WeighedField } from '@vendu/contract';
import { byField, troubleOf } from '../api/problem';
import { Button } from '../ui/Button';
import { dayAndTimeOf } from '../ui/dates';
import { Field, INPUT } from '../ui/Field';
import { Notice, TroubleNotice } from '../ui/Notice';
import { QuantityField } from '../ui/QuantityField';
import { GRAMS, PERCENT_FINE, inRange } from '../ui/quantities';
import { SavedMark } from '../saving/SavedMark';
import { useSaved } from '../saving/useSaved';
import { ResultNotices } from './ResultNotices';
import { useWeighBrewMutation, useBrewQuery } from '../api/brewsApi';

interface WeighDraft {
  /** The brew’s revision when the first figure was typed: whoever saves in between is not overwritten unseen. */
  revision: number;
  doseG: number | null;
  waterG: number | null;
  beverageG: number | null;
  finesG: number | null;
  tailG: number | null;
  tailTdsPercent: number | null;
  tailNote: string;
  note: string;
}

/** Dose, water and beverage as weighed. The first entry of each is kept when it is altered later. */
export function WeighForm({ brew }: { brew: BrewView }) {
  const stored: WeighDraft = {
    revision: brew.revision,
    doseG: brew.doseBasis === 'as-weighed' ? brew.doseG : null,
    waterG: brew.waterBasis === 'as-weighed' ? brew.waterG : null,
    beverageG: brew.beverageG,
    finesG: brew.finesG,
    tailG: brew.tailG,
    tailTdsPercent: brew.tailTdsPercent,
    tailNote: brew.tailNote,
    note: brew.note,
  };
  const [weigh, { reset }] = useWeighBrewMutation();
  const { refetch } = useBrewQuery(brew.id);
  // One entry follows the other before the page has read the brew again: each builds on the one before.
  const ownRevision = useRef<number | null>(null);
  const saved = useSaved<WeighDraft>({
    draftKey: `brew.${brew.id}.weigh`,
    stored,
    async send(figures) {
      reset();
      const revision = Math.max(figures.revision, ownRevision.current ?? 0);
      const { data, error } = await weigh({ id: brew.id, weighed: { ...figures, revision } });
      if (data) ownRevision.current = data.revision;
      return troubleOf(error);
    },
  });
  const { value: figures, state } = saved;
  const trouble = state.kind === 'unsaved' ? state.trouble : null;
  const errors = byField(trouble?.errors ?? []);
  const set = (changed: Partial<WeighDraft>) => saved.put({ ...figures, ...changed });
  async function goOnWithMine() {
    const { data: theirs } = await refetch();
    if (theirs) set({ revision: theirs.revision });
  }
  return (
    <div className="group flex flex-col gap-3">
      <div className="grid grid-cols-3 gap-3">
        <QuantityField
          label="Dose"
          quantity={inRange(GRAMS, { label: 'Dose', min: 5, max: 120 })}
          value={figures.doseG}
          onCommit={(doseG) => set({ doseG })}
          onClear={() => set({ doseG: null })}
          placeholder={`plan ${brew.plan.doseG}`}
          error={errors['doseG']}
        />
        <QuantityField
          label="Water poured"
          quantity={inRange(GRAMS, { label: 'Water poured', min: 20, max: 5000 })}
          value={figures.waterG}
          onCommit={(waterG) => set({ waterG })}
          onClear={() => set({ waterG: null })}
          placeholder={`plan ${planWaterG(brew.plan)}`}
          error={errors['waterG']}
        />
        <QuantityField
          label="Beverage"
          quantity={inRange(GRAMS, { label: 'Beverage', min: 10, max: 5000 })}
          value={figures.beverageG}
          onOffer={(beverageG) => {
            const bypassG = addedWaterG(brew);
            const fault = beverageFault({ beverageG, waterG: figures.waterG ?? brew.waterG, bypassG });
            if (fault) return fault.message;
            set({ beverageG });
            return undefined;
          }}
          onClear={() => set({ beverageG: null })}
          placeholder="none"
          error={errors['beverageG']}
        />
      </div>
      {brew.plan.sieveUm !== undefined && (
        <div className="grid grid-cols-3 gap-3">
          <QuantityField
            label="Fines"
            quantity={inRange(GRAMS, { label: 'Fines', min: 0, max: 100 })}
            value={figures.finesG}
            onCommit={(finesG) => set({ finesG })}
            onClear={() => set({ finesG: null })}
            placeholder={`about ${grindingOf(brew.plan).finesG}`}
            error={errors['finesG']}
          />
        </div>
      )}
      {brew.plan.lifts && (
        <div className="grid grid-cols-3 gap-3">
          <QuantityField
            label="Tail"
            quantity={inRange(GRAMS, { label: 'Tail', min: 0, max: 2000 })}
            value={figures.tailG}
            onCommit={(tailG) => set({ tailG })}
            onClear={() => set({ tailG: null })}
            placeholder="none"
            error={errors['tailG']}
          />
          <QuantityField
            label="Its strength"
            quantity={inRange(PERCENT_FINE, { label: 'Strength of the tail', min: 0, max: 15 })}
            value={figures.tailTdsPercent}
            onCommit={(tailTdsPercent) => set({ tailTdsPercent })}
            onClear={() => set({ tailTdsPercent: null })}
            placeholder="not read"
            error={errors['tailTdsPercent']}
          />
          <Field label="Its taste" error={errors['tailNote']}>
            {(control) => (
              <input
                {...control}
                className={INPUT}
                autoComplete="off"
                placeholder="tasted apart"
                value={figures.tailNote}
                onChange={(event) => saved.type({ ...figures, tailNote: event.target.value })}
                onBlur={saved.save}
              />
            )}
          </Field>
        </div>
      )}
      <Field label="Notes" error={errors['note']}>
        {(control) => (
          <textarea
            {...control}
            rows={2}
            className={`${INPUT} h-auto py-1.5`}
            value={figures.note}
            onChange={(event) => saved.type({ ...figures, note: event.target.value })}
            onBlur={saved.save}
          />
        )}
      </Field>
      {trouble?.kind === 'stale' ? (
        <Notice tone="alarm">
          {trouble.detail} Your figures are kept here.{' '}
          <Button onClick={() => void goOnWithMine()}>Keep mine</Button>
        </Notice>
      ) : (
        trouble && trouble.errors.length === 0 && <TroubleNotice trouble={trouble} />
      )}
      <SavedMark saved={saved} what="what was weighed" />
      {/* What is being entered, or waits for the server, must not stand over a sentence that denies it. */}
      {(state.kind === 'still' || state.kind === 'saved') && (
        <div className="flex flex-col gap-2 group-focus-within:invisible">
          <ResultNotices brew={brew} />
        </div>
      )}
      <Corrections corrections={brew.corrections} />
    </div>
  );
}

const FIELD_WORDS: Record<WeighedField, { words: string; unit: string }> = {
  doseG: { words: 'Dose', unit: 'g' },
  waterG: { words: 'Water poured', unit: 'g' },
  beverageG: { words: 'Beverage', unit: 'g' },
  finesG: { words: 'Fines', unit: 'g' },
  tailG: { words: 'Tail', unit: 'g' },
  tailTdsPercent: { words: 'Strength of the tail', unit: '%' },
};

/** Marks that were mended are told where they stand, with the steps. */
function isWeighed(field: CorrectionView['field']): field is WeighedField {
  return field in FIELD_WORDS;
}

function Corrections({ corrections }: { corrections: readonly CorrectionView[] }) {
  return (
    <ul className="caption">
      {corrections.map(
        ({ field, fromValue, toValue, by, at }) =>
          isWeighed(field) && (
            <li key={`${field}${at}`}>
              {FIELD_WORDS[field].words} first written{' '}
              <span className="reading">
                {fromValue} {FIELD_WORDS[field].unit}
              </span>
              , corrected to{' '}
              <span className="reading">
                {toValue === null ? 'not weighed' : `${toValue} ${FIELD_WORDS[field].unit}`}
              </span>{' '}
              by {by}, {dayAndTimeOf(at)}
            </li>
          ),
      )}
    </ul>
  );
}
