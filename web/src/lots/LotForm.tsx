import { useEffect, type ReactNode } from 'react';
import { useForm } from 'react-hook-form';
import { LOT_SIGNS, PROCESSES, ROAST_LEVELS } from '@vendu/core';
import type { EditLotDto, NewLotDto } from '@vendu/contract';
import type { Trouble } from '../api/problem';
import { readDraft, writeDraft } from '../app/draft';
import { Button, ButtonLink } from '../ui/Button';
import { COUNTRIES } from '../ui/countries';
import { Field, INPUT } from '../ui/Field';
import { TroubleNotice } from '../ui/Notice';
import { PROCESS_WORDS, ROAST_WORDS, SIGN_WORDS } from '../ui/words';
import { formFieldOf, lotFormResolver, readLotForm, type LotDraft, type LotFormText } from './lotForm';

interface LotFormProps {
  draftKey: string;
  initial: LotFormText;
  purpose: { kind: 'new' } | { kind: 'edit'; revision: number };
  trouble: Trouble | null;
  isSending: boolean;
  onSend: (lot: NewLotDto | EditLotDto) => void;
  backTo: string;
}

/** The facts of a lot. Typed text is kept on this device until the lot is stored. */
export function LotForm({ draftKey, initial, purpose, trouble, isSending, onSend, backTo }: LotFormProps) {
  const form = useForm<LotFormText>({
    defaultValues: { ...initial, ...(readDraft(draftKey) as LotDraft | null) },
    resolver: lotFormResolver(purpose),
    mode: 'onTouched',
  });
  const revision = purpose.kind === 'edit' ? purpose.revision : null;
  const { register, handleSubmit, subscribe, setError, formState } = form;

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
  return (
    <form
      noValidate
      onSubmit={(event) => void handleSubmit((values) => onSend(readLotForm(values, purpose).lot))(event)}
      className="grid max-w-5xl gap-x-10 gap-y-6 md:grid-cols-2"
    >
      <Group title="The lot">
        {textField('name', 'Name', { required: true, className: 'col-span-2' })}
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
        {textField('region', 'Region')}
        {textField('farm', 'Farm or station')}
        {textField('producer', 'Producer')}
        {textField('variety', 'Variety')}
        {textField('elevation', 'Elevation', { hint: 'metres: 1850 or 1700-1950' })}
      </Group>
      <Group title="How it was processed">
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
        {textField('drying', 'Drying')}
        {textField('fermentationNote', 'Fermentation note', { className: 'col-span-2' })}
        {textField('additions', 'Added fruit or yeast', {
          className: 'col-span-2',
          hint: 'shown wherever the lot is brewed, tasted or published: it can be an allergen',
        })}
        {textField('harvest', 'Harvest')}
        {textField('supplier', 'Supplier')}
        <fieldset className="col-span-2">
          <legend className="mb-1 text-small font-medium text-quiet">Noticed so far</legend>
          <div className="grid grid-cols-2 gap-x-4">
            {LOT_SIGNS.map((sign) => (
              <label key={sign} className="flex h-8 items-center gap-2 text-small">
                <input type="checkbox" value={sign} {...register('signs')} className="size-4 accent-ink" />
                {SIGN_WORDS[sign]}
              </label>
            ))}
          </div>
        </fieldset>
      </Group>
      {purpose.kind === 'new' && (
        <Group title="Its first roast batch">
          <Field label="Roast date" required error={errorOf('roastedOn')}>
            {(control) => <input {...control} {...register('roastedOn')} type="date" className={INPUT} />}
          </Field>
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
        </Group>
      )}
      <Group title={purpose.kind === 'new' ? 'Label and stock' : 'Label'}>
        {textField('labelNotes', 'Label notes', {
          className: 'col-span-2',
          hint: 'what the label promises in the cup',
        })}
        <Field label="On sale from" error={errorOf('launchOn')}>
          {(control) => <input {...control} {...register('launchOn')} type="date" className={INPUT} />}
        </Field>
        {purpose.kind === 'new' &&
          textField('stock', 'Stock weighed in', { hint: 'grams of roasted coffee to work with' })}
      </Group>
      <div className="flex flex-col gap-3 md:col-span-2">
        <TroubleNotice trouble={trouble} />
        <div className="flex gap-3">
          <Button type="submit" weight="main" disabled={isSending} className="h-11 px-5">
            {purpose.kind === 'new' ? 'Add the lot' : 'Save the facts'}
          </Button>
          <ButtonLink to={backTo} weight="quiet" className="h-11">
            Cancel, keep what is typed
          </ButtonLink>
        </div>
      </div>
    </form>
  );
}

function Group({ title, children }: { title: string; children: ReactNode }) {
  return (
    <fieldset>
      <legend className="heading mb-3 w-full">{title}</legend>
      <div className="grid grid-cols-2 gap-x-4 gap-y-3">{children}</div>
    </fieldset>
  );
}
