import { useId } from 'react';

/** Yes or no, with what stands against it. */
export function Tick({
  label,
  checked,
  onChange,
  error,
}: {
  label: string;
  checked: boolean;
  onChange: (checked: boolean) => void;
  error?: string | undefined;
}) {
  const noteId = useId();
  return (
    <div>
      <label className="flex min-h-9 items-center gap-2 text-small">
        <input
          type="checkbox"
          className="size-4 shrink-0 accent-ink"
          checked={checked}
          aria-invalid={error !== undefined}
          aria-describedby={error ? noteId : undefined}
          onChange={(event) => onChange(event.target.checked)}
        />
        {label}
      </label>
      {error && (
        <p id={noteId} role="alert" className="text-tiny font-medium text-alarm">
          {error}
        </p>
      )}
    </div>
  );
}
