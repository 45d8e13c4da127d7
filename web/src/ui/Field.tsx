import { useId, type ReactNode } from 'react';
import { classes } from './classes';
import { useStillWhilePressed } from './useStillWhilePressed';

export const INPUT =
  'w-full rounded-edge border border-edge bg-raised px-2 h-9 text-body text-ink placeholder:text-quiet/80 aria-invalid:border-alarm aria-invalid:border-2';

interface FieldProps {
  label: string;
  hint?: string;
  error?: string | undefined;
  required?: boolean;
  className?: string;
  children: (control: {
    id: string;
    'aria-invalid': boolean;
    'aria-describedby': string | undefined;
  }) => ReactNode;
}

/** A label, a control and what is wrong with it, tied together for eyes and for screen readers. */
export function Field({ label, hint, error, required, className, children }: FieldProps) {
  const id = useId();
  const noteId = `${id}-note`;
  const told = useStillWhilePressed(error);
  const note = told ?? hint;
  return (
    <div className={classes('flex flex-col gap-1', className)}>
      <label htmlFor={id} className="text-small font-medium text-quiet">
        {label}
        {required && <span className="text-alarm"> required</span>}
      </label>
      {children({ id, 'aria-invalid': error !== undefined, 'aria-describedby': note ? noteId : undefined })}
      {note && (
        <p
          id={noteId}
          role={told ? 'alert' : undefined}
          className={classes('text-tiny', told ? 'font-medium text-alarm' : 'text-quiet')}
        >
          {note}
        </p>
      )}
    </div>
  );
}
