import { Field, INPUT } from '../ui/Field';

interface KitChoiceProps<T extends number | null> {
  label: string;
  value: T;
  options: { id: number; words: string }[];
  /** Words for choosing none, where none may be chosen. */
  none?: null extends T ? string : never;
  onChange: (id: T) => void;
}

/** One brewer, grinder or paper out of those there are. */
export function KitChoice<T extends number | null>({
  label,
  value,
  options,
  none,
  onChange,
}: KitChoiceProps<T>) {
  return (
    <Field label={label}>
      {(control) => (
        <select
          {...control}
          className={INPUT}
          value={value ?? ''}
          onChange={(event) => onChange((event.target.value === '' ? null : Number(event.target.value)) as T)}
        >
          {none !== undefined && <option value="">{none}</option>}
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
