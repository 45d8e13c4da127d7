import { ToggleGroup } from 'radix-ui';
import { classes } from './classes';

interface ChoiceProps<T extends string> {
  label: string;
  options: readonly { value: T; label: string }[];
  value: T | null;
  onChange: (value: T) => void;
  className?: string;
}

/** A few words of which one holds, all of them in view. */
export function Choice<T extends string>({ label, options, value, onChange, className }: ChoiceProps<T>) {
  return (
    <ToggleGroup.Root
      type="single"
      aria-label={label}
      value={value ?? ''}
      onValueChange={(next) => {
        if (next !== '') onChange(next as T);
      }}
      className={classes('inline-flex', className)}
    >
      {options.map((option) => (
        <ToggleGroup.Item
          key={option.value}
          value={option.value}
          className="-ml-px h-9 border border-edge bg-raised px-3 text-small text-quiet first:ml-0 first:rounded-l-edge last:rounded-r-edge hover:text-ink data-[state=on]:z-10 data-[state=on]:border-ink data-[state=on]:bg-ink data-[state=on]:font-semibold data-[state=on]:text-sheet"
        >
          {option.label}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  );
}
