import { BLIND_SCORES } from '@vendu/core';
import { classes } from '../ui/classes';

const POINTS = Array.from({ length: BLIND_SCORES.high }, (_, index) => index + BLIND_SCORES.low);

/** Points for each of the coded cups. */
export function CupScores({
  codes,
  scores,
  onChange,
}: {
  codes: readonly string[];
  scores: Readonly<Record<string, number>>;
  onChange: (scores: Record<string, number>) => void;
}) {
  return (
    <div className="flex flex-col gap-4">
      {codes.map((code) => (
        <div key={code} role="radiogroup" aria-label={`Points for ${code}`}>
          <p className="reading mb-1 text-large font-semibold">{code}</p>
          <div className="grid grid-cols-9 gap-1">
            {POINTS.map((points) => (
              <label
                key={points}
                className={classes(
                  'reading flex h-12 cursor-pointer items-center justify-center rounded-edge border has-focus-visible:outline-2 has-focus-visible:outline-offset-2',
                  scores[code] === points
                    ? 'border-ink bg-ink font-semibold text-sheet'
                    : 'border-edge bg-raised',
                )}
              >
                <input
                  type="radio"
                  name={code}
                  className="sr-only"
                  checked={scores[code] === points}
                  onChange={() => onChange({ ...scores, [code]: points })}
                />
                {points}
              </label>
            ))}
          </div>
        </div>
      ))}
      <p className="text-small text-quiet">1 not at all, 5 neither, 9 very much.</p>
    </div>
  );
}
