/** A choice on the bench, tall enough for a wet finger; what is chosen may be an object. */
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
  const chosen = options.findIndex(({ choice }) => JSON.stringify(choice) === JSON.stringify(value));
  return (
    <label className="flex min-w-0 flex-col text-small">
      {label}
      <select
        className="h-12 w-full rounded-edge border border-edge bg-raised px-2"
        value={chosen}
        onChange={({ target }) => {
          const option = options[Number(target.value)];
          if (option) onChange(option.choice);
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
