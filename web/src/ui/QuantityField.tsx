import { useEffect, useRef, useState, type KeyboardEvent } from 'react';
import { classes } from './classes';
import { Field } from './Field';
import type { Quantity } from './quantities';
import { useStillWhilePressed } from './useStillWhilePressed';

interface QuantityFieldProps<V> {
  label: string;
  quantity: Quantity<V>;
  value: V | null;
  /** Called with a figure that could be read. */
  onCommit?: (value: V) => void;
  /** The same where the figure may still be refused: the answer is shown as what is wrong with it. */
  onOffer?: (value: V) => string | undefined;
  /** Called when the field was emptied; without it an empty field is an error. */
  onClear?: () => void;
  error?: string | undefined;
  hint?: string;
  placeholder?: string;
  /** In tables the column's head is the visible label. */
  labelHidden?: boolean;
  /** Where the page has keys of its own: Enter gives them back once the figure is taken. */
  leavesOnEnter?: boolean;
  className?: string;
}

/**
 * A figure typed the way it is spoken (`1:40`, `96c`, `205f`, `1:16`). Read on Enter or on leaving; what
 * cannot be read stays as typed, with the reason under it.
 */
export function QuantityField<V = number>({
  label,
  quantity,
  value,
  onCommit,
  onOffer,
  onClear,
  error,
  hint,
  placeholder,
  labelHidden,
  leavesOnEnter = false,
  className,
}: QuantityFieldProps<V>) {
  const shown = value === null ? '' : quantity.format(value);
  const [text, setText] = useState(shown);
  const [complaint, setComplaint] = useState<string>();
  const isEditing = useRef(false);
  const input = useRef<HTMLInputElement>(null);

  // The figure may move for another reason (undo, another field): follow it unless someone is typing.
  useEffect(() => {
    if (!isEditing.current) {
      setText(shown);
      setComplaint(undefined);
    }
  }, [shown]);

  useEffect(() => input.current?.setCustomValidity(complaint ?? ''), [complaint]);

  /** @returns whether nothing is left to say about it */
  function commit(): boolean {
    isEditing.current = false;
    if (text === shown) {
      setComplaint(undefined);
      return true;
    }
    if (text.trim() === '' && onClear) {
      setComplaint(undefined);
      onClear();
      return true;
    }
    const parsed = quantity.parse(text);
    if (!parsed.ok) {
      setComplaint(parsed.message);
      return false;
    }
    onCommit?.(parsed.value);
    const refused = onOffer?.(parsed.value);
    setComplaint(refused);
    // What was refused stays as typed; what was taken is written in the house's form.
    if (!refused) setText(quantity.format(parsed.value));
    return !refused;
  }

  function onKeyDown({ key, currentTarget }: KeyboardEvent<HTMLInputElement>) {
    if (key === 'Enter' && commit() && leavesOnEnter) currentTarget.blur();
    if (key === 'Escape') {
      isEditing.current = false;
      setText(shown);
      setComplaint(undefined);
      currentTarget.blur();
    }
  }

  const message = complaint ?? error;
  const note = useStillWhilePressed(message);
  const control = (props: {
    id?: string;
    'aria-invalid'?: boolean;
    'aria-describedby'?: string | undefined;
    'aria-label'?: string;
  }) => (
    <span
      className={classes(
        'flex h-9 items-baseline rounded-edge border bg-raised pr-2 focus-within:outline-2 focus-within:outline-offset-1 focus-within:outline-water',
        message ? 'border-2 border-alarm' : 'border-edge',
      )}
    >
      <input
        {...props}
        ref={input}
        inputMode="text"
        data-several={quantity.isSeveral}
        autoComplete="off"
        className={classes(
          'reading w-full min-w-0 self-center bg-transparent px-2 placeholder:font-normal placeholder:text-quiet text-body font-medium outline-none',
          quantity.hue,
        )}
        value={text}
        placeholder={placeholder}
        onFocus={(event) => {
          isEditing.current = true;
          event.currentTarget.select();
        }}
        onChange={(event) => {
          isEditing.current = true;
          setText(event.currentTarget.value);
        }}
        // After Enter or Escape there is nothing left to take.
        onBlur={() => {
          if (isEditing.current) commit();
        }}
        onKeyDown={onKeyDown}
      />
      {quantity.unit && <span className="self-center text-tiny text-quiet">{quantity.unit}</span>}
    </span>
  );

  if (labelHidden) {
    return (
      <div className={className}>
        {control({ 'aria-label': label, 'aria-invalid': message !== undefined })}
        {note && (
          <p role="alert" className="relative mt-1 -mr-32 w-60 text-tiny font-medium text-alarm">
            {note}
          </p>
        )}
      </div>
    );
  }
  return (
    <Field label={label} hint={hint} error={message} className={className}>
      {control}
    </Field>
  );
}
