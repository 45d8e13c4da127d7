import { classes } from '../ui/classes';

/** The coded cups in an order: tapped from the best on, tapped again to take it back. */
export function CupRanks({
  codes,
  ranked,
  onChange,
}: {
  codes: readonly string[];
  ranked: readonly string[];
  onChange: (ranked: string[]) => void;
}) {
  return (
    <div>
      <div role="group" aria-label="Cups" className="flex gap-3">
        {codes.map((code) => {
          const place = ranked.indexOf(code);
          return (
            <button
              key={code}
              type="button"
              aria-pressed={place >= 0}
              aria-label={place >= 0 ? `${code}, place ${place + 1}` : code}
              onClick={() =>
                onChange(place >= 0 ? ranked.filter((each) => each !== code) : [...ranked, code])
              }
              className={classes(
                'flex h-28 grow basis-0 flex-col items-center justify-center rounded-b-[2.5rem] border-2',
                place >= 0 ? 'border-ink bg-ink text-sheet' : 'border-edge bg-raised',
              )}
            >
              <span className="reading text-[1.5rem] font-semibold">{code}</span>
              <span aria-hidden className="h-7 text-large font-bold">
                {place >= 0 ? place + 1 : ''}
              </span>
            </button>
          );
        })}
      </div>
      <p className="mt-2 text-small text-quiet">Tap the best first; tap a cup again to take it back.</p>
    </div>
  );
}
