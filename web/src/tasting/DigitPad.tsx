import { cellName, rangeOf, type Cell } from './cells';

const DIGITS = [0, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10];

interface DigitPadProps {
  cell: Cell;
  onDigit: (value: number) => void;
  onSkip: () => void;
  onBack: () => void;
}

/** The digits for a thumb, where there is no keyboard: at the foot of the screen, with what they are for. */
export function DigitPad({ cell, onDigit, onSkip, onBack }: DigitPadProps) {
  const { low, high } = rangeOf(cell);
  return (
    <div
      role="group"
      aria-label="Digits"
      className="sticky bottom-0 z-10 -mx-4 mt-3 border-t border-ink bg-sheet px-4 pt-2 pb-3 sm:-mx-6 sm:px-6 lg:not-pointer-coarse:hidden"
    >
      <p className="mb-1 flex items-baseline justify-between text-small">
        <span className="font-semibold">{cellName(cell)}</span>
        <span className="flex gap-4">
          <button type="button" onClick={onBack} className="min-h-8 text-quiet underline underline-offset-3">
            back
          </button>
          <button type="button" onClick={onSkip} className="min-h-8 text-quiet underline underline-offset-3">
            skip
          </button>
        </span>
      </p>
      <div className="grid grid-cols-6 gap-1.5">
        {DIGITS.filter((digit) => digit >= low && digit <= high).map((digit) => (
          <button
            key={digit}
            type="button"
            aria-label={`${digit}`}
            onClick={() => onDigit(digit)}
            className="reading h-12 rounded-edge border border-edge bg-raised text-large font-semibold active:bg-ink active:text-sheet"
          >
            {digit}
          </button>
        ))}
      </div>
    </div>
  );
}
