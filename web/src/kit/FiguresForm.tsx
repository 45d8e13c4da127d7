import { useState, type ReactNode } from 'react';
import { checkDto } from '@vendu/contract';
import { byField, type Trouble } from '../api/problem';
import { useDraft } from '../device/draft';
import { Button } from '../ui/Button';
import { Field, INPUT } from '../ui/Field';
import { firstFault } from '../ui/firstFault';
import { TroubleNotice } from '../ui/Notice';
import { Tick } from '../ui/Tick';
import { QuantityField } from '../ui/QuantityField';
import type { Quantity } from '../ui/quantities';

/** One field of a form of figures. */
export type FigureField<T> = { field: keyof T & string; label: string; hint?: string } & (
  | { kind: 'text' }
  | { kind: 'figure'; quantity: Quantity; isOptional?: boolean }
  | { kind: 'choice'; options: readonly { value: string | number | boolean | null; words: string }[] }
  | { kind: 'check' }
);

interface FiguresFormProps<T extends object> {
  /** Kept on this device under this key until it is stored. */
  draftKey: string;
  dto: Parameters<typeof checkDto<T>>[0];
  initial: Partial<T>;
  fields: readonly FigureField<T>[];
  /** Parts that are no plain field, drawn under the others. */
  more?: (
    values: Partial<T>,
    change: (changed: Partial<T>) => void,
    errors: Record<string, string>,
  ) => ReactNode;
  /** Stores it; the answer is what stands against it, or `null` when it is stored. */
  onSave: (values: T) => Promise<Trouble | null>;
  onLeave: () => void;
}

/** A form of figures and names, checked by the same class as the server's. Nothing typed is lost. */
export function FiguresForm<T extends object>({
  draftKey,
  dto,
  initial,
  fields,
  more,
  onSave,
  onLeave,
}: FiguresFormProps<T>) {
  const [values, change, forget] = useDraft<Partial<T>>(draftKey, initial);
  const [errors, setErrors] = useState<Record<string, string>>({});
  const [trouble, setTrouble] = useState<Trouble | null>(null);
  const [isSending, setSending] = useState(false);
  const put = (changed: Partial<T>) => change({ ...values, ...changed });

  async function save() {
    const faults = byField(checkDto(dto, values));
    setErrors(faults);
    setTrouble(null);
    if (Object.keys(faults).length > 0) return;
    setSending(true);
    const against = await onSave(values as T);
    setSending(false);
    if (against === null) {
      forget();
      onLeave();
      return;
    }
    setErrors(byField(against.errors));
    setTrouble(against);
  }
  return (
    <form
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        if (!firstFault(event.currentTarget)) void save();
      }}
      className="flex flex-col gap-4"
    >
      <div className="grid grid-cols-2 gap-x-4 gap-y-3 md:grid-cols-3">
        {fields.map((field) => (
          <OneField
            key={field.field}
            field={field}
            values={values}
            error={errors[field.field]}
            onChange={put}
          />
        ))}
      </div>
      {more?.(values, put, errors)}
      {/* What has a field of its own is said there. */}
      {Object.keys(errors).length === 0 && <TroubleNotice trouble={trouble} />}
      <div className="flex gap-3">
        <Button type="submit" weight="main" disabled={isSending}>
          Save
        </Button>
        <Button
          weight="quiet"
          onClick={() => {
            forget();
            onLeave();
          }}
        >
          Cancel
        </Button>
      </div>
    </form>
  );
}

function OneField<T extends object>({
  field,
  values,
  error,
  onChange,
}: {
  field: FigureField<T>;
  values: Partial<T>;
  error: string | undefined;
  onChange: (changed: Partial<T>) => void;
}) {
  const value = values[field.field];
  const set = (next: unknown) => onChange({ [field.field]: next } as Partial<T>);
  const { label, hint } = field;
  const told = hint === undefined ? {} : { hint };
  switch (field.kind) {
    case 'figure':
      return (
        <QuantityField
          label={label}
          {...told}
          quantity={field.quantity}
          value={typeof value === 'number' ? value : null}
          onCommit={set}
          {...(field.isOptional ? { onClear: () => set(null), placeholder: '–' } : {})}
          error={error}
        />
      );
    case 'check':
      return (
        <div className="self-end">
          <Tick label={label} checked={value === true} onChange={set} error={error} />
        </div>
      );
    case 'choice':
      return (
        <Field label={label} error={error} {...told}>
          {(control) => (
            <select
              {...control}
              className={INPUT}
              value={String(value ?? '')}
              onChange={(event) =>
                set(field.options.find(({ value: each }) => String(each ?? '') === event.target.value)?.value)
              }
            >
              {field.options.map((option) => (
                <option key={String(option.value)} value={String(option.value ?? '')}>
                  {option.words}
                </option>
              ))}
            </select>
          )}
        </Field>
      );
    case 'text':
      return (
        <Field label={label} error={error} {...told}>
          {(control) => (
            <input
              {...control}
              className={INPUT}
              autoComplete="off"
              value={typeof value === 'string' ? value : ''}
              onChange={(event) => set(event.target.value)}
            />
          )}
        </Field>
      );
  }
}
