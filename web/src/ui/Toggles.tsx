import { classes } from './classes';

interface TogglesProps<T extends string> {
  options: readonly { value: T; label: string }[];
  on: readonly T[];
  onToggle: (value: T) => void;
}

/** Words of which any may hold. */
export function Toggles<T extends string>({ options, on, onToggle }: TogglesProps<T>) {
  return options.map(({ value, label }) => (
    <button
      key={value}
      type="button"
      aria-pressed={on.includes(value)}
      onClick={() => onToggle(value)}
      className={classes(
        'h-8 rounded-edge border px-2 text-small',
        on.includes(value)
          ? 'border-ink bg-ink font-semibold text-sheet'
          : 'border-rule text-quiet hover:border-ink hover:text-ink',
      )}
    >
      {label}
    </button>
  ));
}
