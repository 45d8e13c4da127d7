import { Field, INPUT } from '../ui/Field';

/** One brewer, grinder or paper out of those there are. */
export function KitChoice({
  label,
  value,
  options,
  onChange,
}: {
  label: string;
  value: number;
  options: { id: number; words: string }[];
  onChange: (id: number) => void;
}) {
  return (
    <Field label={label}>
      {(control) => (
        <select
          {...control}
          className={INPUT}
          value={value}
          onChange={(event) => onChange(Number(event.target.value))}
        >
          {options.map(({ id, words }) => (
            <option key={id} value={id}>
              {words}
            </option>
          ))}
        </select>
      )}
    </Field>
  );
}
