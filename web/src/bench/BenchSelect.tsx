import { useRef } from 'react';

/**
 * A choice on the bench, tall enough for a wet finger; what is chosen may be an object. Chosen by a finger it gives the
 * keys back to the bench at once; a keyboard stays in it until it leaves.
 */
export function BenchSelect<T>({
  label,
  options,
  value,
  onChange,
}: {
  label: string;
  options: readonly { words: string; choice: T }[];
  value: T;
  onChange: (next: T) => void;
}) {
  const isByFinger = useRef(false);
  const chosen = options.findIndex(({ choice }) => JSON.stringify(choice) === JSON.stringify(value));
  return (
    <label className="flex min-w-0 flex-col text-small">
      {label}
      <select
        className="h-12 w-full rounded-edge border border-edge bg-raised px-2"
        value={chosen}
        onPointerDown={() => (isByFinger.current = true)}
        onKeyDown={() => (isByFinger.current = false)}
        onChange={({ target }) => {
          const option = options[Number(target.value)];
          if (option) onChange(option.choice);
          if (isByFinger.current) target.blur();
        }}
      >
        {options.map(({ words }, index) => (
          <option key={words} value={index}>
            {words}
          </option>
        ))}
      </select>
    </label>
  );
}
