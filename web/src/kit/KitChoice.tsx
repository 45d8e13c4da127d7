import { Pick } from '../ui/Pick';

interface KitChoiceProps<T extends number | null> {
  label: string;
  value: T;
  options: { id: number; name: string; detail?: string }[];
  /** Words for choosing none, where none may be chosen. */
  none?: null extends T ? string : never;
  onChange: (id: T) => void;
}

/** What stands for none: a choice needs a value. */
const NONE = 'none';

/** One brewer, grinder or paper out of those there are. */
export function KitChoice<T extends number | null>({
  label,
  value,
  options,
  none,
  onChange,
}: KitChoiceProps<T>) {
  return (
    <Pick
      label={label}
      value={value === null ? NONE : String(value)}
      options={[
        ...(none === undefined ? [] : [{ value: NONE, name: none }]),
        ...options.map(({ id, ...words }) => ({ value: String(id), ...words })),
      ]}
      onChange={(next) => onChange((next === NONE ? null : Number(next)) as T)}
    />
  );
}
