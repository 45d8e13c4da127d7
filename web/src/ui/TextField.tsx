import type { HTMLInputTypeAttribute } from 'react';
import { Field, INPUT } from './Field';

/** A line of text with its name above it and what is wrong with it below. */
export function TextField({
  label,
  value,
  onChange,
  error,
  type = 'text',
  autoComplete = 'off',
}: {
  label: string;
  value: string;
  onChange: (value: string) => void;
  error: string | undefined;
  type?: HTMLInputTypeAttribute;
  autoComplete?: string;
}) {
  return (
    <Field label={label} error={error}>
      {(control) => (
        <input
          {...control}
          type={type}
          autoComplete={autoComplete}
          className={INPUT}
          value={value}
          onChange={({ target }) => onChange(target.value)}
        />
      )}
    </Field>
  );
}
