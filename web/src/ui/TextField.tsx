import { useEffect, useRef, type HTMLInputTypeAttribute } from 'react';
import { Field, INPUT } from './Field';

/** A line of text with its name above it and what is wrong with it below. */
export function TextField({
  label,
  value,
  onChange,
  error,
  type = 'text',
  autoComplete = 'off',
  hint,
  takesFocus = false,
}: {
  label: string;
  value: string;
  onChange: (value: string) => void;
  error: string | undefined;
  type?: HTMLInputTypeAttribute;
  autoComplete?: string;
  hint?: string;
  /** It is what is asked for next: whoever comes to it types. */
  takesFocus?: boolean;
}) {
  const own = useRef<HTMLInputElement>(null);
  useEffect(() => {
    if (takesFocus) own.current?.focus();
  }, [takesFocus]);
  return (
    <Field label={label} error={error} {...(hint === undefined ? {} : { hint })}>
      {(control) => (
        <input
          {...control}
          ref={own}
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
