import { classes } from '../ui/classes';

/** One of the coded cups, as they stand on the table. */
export function CupChoice({
  codes,
  chosen,
  onChange,
}: {
  codes: readonly string[];
  chosen: string | null;
  onChange: (code: string) => void;
}) {
  return (
    <div role="radiogroup" aria-label="Cups" className="flex gap-3">
      {codes.map((code) => (
        <label
          key={code}
          className={classes(
            'reading flex h-28 grow basis-0 cursor-pointer items-center justify-center rounded-b-[2.5rem] border-2 text-[1.75rem] font-semibold has-focus-visible:outline-2 has-focus-visible:outline-offset-2',
            chosen === code ? 'border-ink bg-ink text-sheet' : 'border-edge bg-raised',
          )}
        >
          <input
            type="radio"
            name="cup"
            className="sr-only"
            checked={chosen === code}
            onChange={() => onChange(code)}
          />
          {code}
        </label>
      ))}
    </div>
  );
}
