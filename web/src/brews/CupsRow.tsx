import type { FractionDto, Haze } from '@vendu/contract';
import { formatDuration } from '@vendu/core';
import { CUP_COLOURS } from './cupColours';

const HEIGHT = 96;
const GAP = 6;
const GLASS_W = 44;
/** How much of the light a haze takes. */
const VEIL: Record<Haze, number> = { clear: 0, slight: 0.3, hazy: 0.65 };

/** The cups as they stand in a row: as full as they were, in the colour that was seen, veiled where they were hazy. */
export function CupsRow({ cups }: { cups: readonly FractionDto[] }) {
  const fullestG = Math.max(...cups.map(({ beverageG }) => beverageG ?? 0));
  if (cups.length < 2 || fullestG === 0) return null;
  return (
    <ol aria-label="Cups in a row" className="mt-4 flex gap-3 overflow-x-auto pb-1">
      {cups.map((cup, index) => {
        const { startS, endS, beverageG, tdsPercent, colour, haze, notes, isWanted } = cup;
        const fill = ((beverageG ?? 0) / fullestG) * (HEIGHT - 2 * GAP);
        const seen = CUP_COLOURS.find(({ name }) => name === colour.trim().toLowerCase());
        return (
          <li key={index} className="flex w-20 shrink-0 flex-col items-center text-center text-tiny">
            <svg width={GLASS_W + 12} height={HEIGHT} aria-hidden>
              <path
                d={`M4,2 L8,${HEIGHT - 3} H${GLASS_W + 4} L${GLASS_W + 8},2`}
                className={isWanted === false ? 'fill-none stroke-rule' : 'fill-none stroke-edge'}
                strokeWidth={isWanted ? 2.5 : 1.5}
              />
              {fill > 0 && (
                <>
                  <rect
                    x={9}
                    y={HEIGHT - 4 - fill}
                    width={GLASS_W - 6}
                    height={fill}
                    style={seen ? { fill: seen.hex } : undefined}
                    className={seen ? '' : 'fill-wash'}
                  />
                  {haze && VEIL[haze] > 0 && (
                    <rect
                      x={9}
                      y={HEIGHT - 4 - fill}
                      width={GLASS_W - 6}
                      height={fill}
                      style={{ opacity: VEIL[haze] }}
                      className="fill-edge"
                    />
                  )}
                </>
              )}
            </svg>
            <span className="reading text-time">{formatDuration(Math.round(endS))}</span>
            <span className="reading text-water">{beverageG === null ? '–' : `${beverageG} g`}</span>
            {tdsPercent !== null && (
              <span className="reading font-semibold text-strength">{tdsPercent.toFixed(2)} %</span>
            )}
            <span className="text-quiet">{notes.split(',')[0]}</span>
            <span className="sr-only">
              from {formatDuration(Math.round(startS))}, {colour || 'colour not told'},{' '}
              {haze ?? 'haze not told'}
              {isWanted ? ', wanted' : ''}
            </span>
          </li>
        );
      })}
    </ol>
  );
}
