import { Fragment, useEffect, type ReactNode } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import { BASE_PROCESSES, LOT_SIGNS, mayHaveBase, PROCESSES, ROAST_LEVELS } from '@vendu/core';
import {
  LABEL_NOTES,
  LOT_FIGURES,
  LOT_TEXTS,
  type EditLotDto,
  type FigureField,
  type LotFigure,
  type LotText,
  type NewLotDto,
  type TextField,
} from '@vendu/contract';
import type { Trouble } from '../api/problem';
import { readDraft, writeDraft } from '../device/draft';
import { Button, ButtonLink } from '../ui/Button';
import { COUNTRIES } from '@vendu/card/countries';
import { Field, INPUT } from '../ui/Field';
import { Fold } from '../ui/Fold';
import { TroubleNotice } from '../ui/Notice';
import { ROAST_WORDS, SIGN_WORDS } from '../ui/words';
import { PROCESS_WORDS } from '@vendu/core';
import { formFieldOf, lotFormResolver, readLotForm, type LotDraft, type LotFormText } from './lotForm';

interface LotFormProps {
  draftKey: string;
  initial: LotFormText;
  purpose: { kind: 'new' } | { kind: 'edit'; revision: number };
  trouble: Trouble | null;
  isSending: boolean;
  onSend: (lot: NewLotDto | EditLotDto) => void;
  backTo: string;
  /** What the facts typed so far do, beside the form of a new lot. */
  hints?: (text: LotFormText) => ReactNode;
}

/** The facts of a lot. Typed text is kept on this device until the lot is stored. */
export function LotForm({
  draftKey,
  initial,
  purpose,
  trouble,
  isSending,
  onSend,
  backTo,
  hints,
}: LotFormProps) {
  const form = useForm<LotFormText>({
    defaultValues: { ...initial, ...(readDraft(draftKey) as LotDraft | null) },
    resolver: lotFormResolver(purpose),
    mode: 'onTouched',
  });
  const revision = purpose.kind === 'edit' ? purpose.revision : null;
  const { register, handleSubmit, subscribe, setError, formState, control } = form;

  useEffect(() => {
    return subscribe({
      formState: { values: true },
      callback: ({ values }) => writeDraft(draftKey, { ...values, revision } satisfies LotDraft),
    });
  }, [subscribe, draftKey, revision]);

  useEffect(() => {
    for (const { field, message } of trouble?.errors ?? []) {
      setError(formFieldOf(field) as keyof LotFormText, { type: 'server', message });
    }
  }, [trouble, setError]);

  const errorOf = (field: keyof LotFormText) => formState.errors[field]?.message;
  const textField = (
    field: keyof LotFormText,
    label: string,
    more: { hint?: string; required?: boolean; className?: string } = {},
  ) => (
    <Field label={label} error={errorOf(field)} {...more}>
      {(control) => <input {...control} {...register(field)} autoComplete="off" className={INPUT} />}
    </Field>
  );
  const describedField = (name: Described) => {
    const description = descriptionOf(name);
    const unit = 'unit' in description && description.unit !== '' ? `, ${description.unit}` : '';
    // A long text has the whole width.
    const isLong = 'max' in description && !('unit' in description) && description.max > 120;
    return (
      <Fragment key={name}>
        {textField(name, `${description.label}${unit}`, {
          ...(description.hint === undefined ? {} : { hint: description.hint }),
          ...(isLong ? { className: 'sm:col-span-2' } : {}),
        })}
      </Fragment>
    );
  };
  const values = useWatch({ control });
  const { process = '' } = values;
  const isNew = purpose.kind === 'new';
  return (
    <form
      noValidate
      onSubmit={(event) => void handleSubmit((typed) => onSend(readLotForm(typed, purpose).lot))(event)}
      className="grid grid-cols-1 gap-x-10 gap-y-6 lg:grid-cols-[minmax(0,1fr)_400px]"
    >
      <div className="flex flex-col gap-5">
        <Group title="The lot">
          <Field label="Name" required error={errorOf('name')}>
            {(control) => (
              // Whoever opens the form of a new lot is about to type its name.
              <input
                {...control}
                {...register('name')}
                autoFocus={isNew}
                autoComplete="off"
                className={INPUT}
              />
            )}
          </Field>
          <Field label="Country" required error={errorOf('country')}>
            {(control) => (
              <select {...control} {...register('country')} className={INPUT}>
                <option value="">Choose</option>
                {COUNTRIES.map(({ code, name }) => (
                  <option key={code} value={code}>
                    {name}
                  </option>
                ))}
              </select>
            )}
          </Field>
          <Field label="Process" required error={errorOf('process')}>
            {(control) => (
              <select {...control} {...register('process')} className={INPUT}>
                <option value="">Choose</option>
                {PROCESSES.map((process) => (
                  <option key={process} value={process}>
                    {PROCESS_WORDS[process]}
                  </option>
                ))}
              </select>
            )}
          </Field>
          {process !== '' && mayHaveBase(process) && (
            <Field label="Base process" error={errorOf('baseProcess')}>
              {(control) => (
                <select {...control} {...register('baseProcess')} className={INPUT}>
                  <option value="">Not told</option>
                  {BASE_PROCESSES.map((base) => (
                    <option key={base} value={base}>
                      {PROCESS_WORDS[base]}
                    </option>
                  ))}
                </select>
              )}
            </Field>
          )}
          {process !== '' && process !== 'decaffeinated' && (
            <Field label="Decaffeinated" error={errorOf('isDecaffeinated')}>
              {(control) => (
                <select {...control} {...register('isDecaffeinated')} className={INPUT}>
                  <option value="">No</option>
                  <option value="yes">Yes, besides its process</option>
                </select>
              )}
            </Field>
          )}
          {isNew && (
            <Field
              label="Roast date"
              error={errorOf('roastedOn')}
              hint="empty for green that is not roasted yet"
            >
              {(control) => <input {...control} {...register('roastedOn')} type="date" className={INPUT} />}
            </Field>
          )}
        </Group>
        <Group title="What shapes its recipe">
          {textField('elevation', 'Elevation', { hint: 'metres, 1850 or 1700-1950, or low, middling, high' })}
          {isNew && (
            <Field label="Roast level" error={errorOf('roastLevel')}>
              {(control) => (
                <select {...control} {...register('roastLevel')} className={INPUT}>
                  <option value="">Not known</option>
                  {ROAST_LEVELS.map((level) => (
                    <option key={level} value={level}>
                      {ROAST_WORDS[level]}
                    </option>
                  ))}
                </select>
              )}
            </Field>
          )}
          <fieldset className="sm:col-span-2">
            <legend className="mb-1 text-small font-medium text-quiet">Noticed so far</legend>
            <div className="grid gap-x-4 sm:grid-cols-2">
              {LOT_SIGNS.map((sign) => (
                <label key={sign} className="flex h-8 items-center gap-2 text-small">
                  <input type="checkbox" value={sign} {...register('signs')} className="size-4 accent-ink" />
                  {SIGN_WORDS[sign]}
                </label>
              ))}
            </div>
          </fieldset>
          {isNew &&
            textField('stock', 'Stock weighed in', {
              hint: 'roasted coffee to work with, such as 900 g, 2.4 kg or 5 lb',
            })}
          <Field label="On sale from" error={errorOf('launchOn')}>
            {(control) => <input {...control} {...register('launchOn')} type="date" className={INPUT} />}
          </Field>
        </Group>
        {THEMES.map(({ place, title }) => (
          <Theme key={place} title={title} fields={fieldsAt(place)} errorOf={errorOf} isOpen={!isNew}>
            {fieldsAt(place).map(describedField)}
          </Theme>
        ))}
      </div>
      <div>{isNew && hints?.({ ...initial, ...values })}</div>
      <div className="sticky bottom-0 flex flex-col gap-3 border-t border-ink bg-sheet py-3 lg:col-span-2">
        <TroubleNotice trouble={trouble} />
        <div className="flex gap-3">
          <Button type="submit" weight="main" disabled={isSending} className="h-11 px-5">
            {isNew ? 'Add the lot' : 'Save the facts'}
          </Button>
          <ButtonLink to={backTo} weight="quiet" className="h-11">
            Cancel, keep what is typed
          </ButtonLink>
        </div>
      </div>
    </form>
  );
}

type Described = LotText | LotFigure | 'labelNotes';

/** Where each described fact stands; a fact without a place does not compile. */
const PLACE = {
  name: 'top',
  region: 'origin',
  farm: 'origin',
  producer: 'origin',
  variety: 'origin',
  harvest: 'origin',
  supplier: 'origin',
  pricePerKg: 'origin',
  densityGPerL: 'green',
  moisturePercent: 'green',
  waterActivity: 'green',
  screenSize: 'green',
  greenLook: 'green',
  drying: 'processing',
  fermentationNote: 'processing',
  additions: 'processing',
  labelNotes: 'label',
} as const satisfies Record<Described, string>;
type Place = (typeof PLACE)[Described];

const THEMES: readonly { place: Place; title: string }[] = [
  { place: 'origin', title: 'Where it comes from' },
  { place: 'green', title: 'The green, as measured and seen' },
  { place: 'processing', title: 'Processing and additions' },
  { place: 'label', title: 'Label' },
];

function fieldsAt(place: Place): Described[] {
  return (Object.keys(PLACE) as Described[]).filter((name) => PLACE[name] === place);
}

function descriptionOf(name: Described): TextField | FigureField {
  const labelNotes = { ...LABEL_NOTES, max: LABEL_NOTES.mostNotes * LABEL_NOTES.longestNote };
  return { ...LOT_TEXTS, ...LOT_FIGURES, labelNotes }[name];
}

/** Facts of one theme, folded away where nobody needs them at once; open where something in them is wrong. */
function Theme({
  title,
  fields,
  errorOf,
  isOpen,
  children,
}: {
  title: string;
  fields: readonly (keyof LotFormText)[];
  errorOf: (field: keyof LotFormText) => string | undefined;
  isOpen: boolean;
  children: ReactNode;
}) {
  const isWrong = fields.some((field) => errorOf(field) !== undefined);
  return (
    <Fold summary={title} isHeading isOpenAtFirst={isOpen} isWrong={isWrong}>
      <div className="mt-3 grid gap-x-4 gap-y-3 sm:grid-cols-2">{children}</div>
    </Fold>
  );
}

function Group({ title, children }: { title: string; children: ReactNode }) {
  return (
    <fieldset>
      <legend className="heading mb-3 w-full">{title}</legend>
      <div className="grid gap-x-4 gap-y-3 sm:grid-cols-2">{children}</div>
    </fieldset>
  );
}
