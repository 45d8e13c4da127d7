import { useRef, useState, type KeyboardEvent } from 'react';
import { INTENSITIES, type TastingSheet } from '@vendu/core';
import { classes } from '../ui/classes';
import { INTENSITY_WORDS } from '../ui/words';
import { CELLS, cellKey, cellName, rangeOf, valueIn, withValue, type Cell } from './cells';
import { DigitPad } from './DigitPad';

interface ScoreGridProps {
  sheet: TastingSheet;
  onChange: (sheet: TastingSheet) => void;
  /** The last figure is in. */
  onDone: () => void;
}

/** Two digits for each attribute, one after the other: a digit fills its cell and goes on. */
export function ScoreGrid({ sheet, onChange, onDone }: ScoreGridProps) {
  const [place, setPlace] = useState(0);
  const cells = useRef(new Map<number, HTMLDivElement>());
  const active = CELLS[place] as Cell;

  function goTo(next: number) {
    if (next >= CELLS.length) {
      onDone();
      return;
    }
    const to = Math.max(0, next);
    setPlace(to);
    cells.current.get(to)?.focus();
  }
  function press(key: string): boolean {
    const done = cellKey(key, active, valueIn(sheet, active));
    if (!done) return false;
    onChange(withValue(sheet, active, done.value));
    if (done.go !== 0) goTo(place + done.go);
    return true;
  }
  function fill(value: number) {
    onChange(withValue(sheet, active, value));
    goTo(place + 1);
  }
  function onKeyDown(event: KeyboardEvent) {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    if (press(event.key)) event.preventDefault();
  }
  const cell = (index: number) => {
    const of = CELLS[index] as Cell;
    const { low, high } = rangeOf(of);
    const value = valueIn(sheet, of);
    return (
      <ScoreCell
        name={cellName(of)}
        value={value}
        low={low}
        high={high}
        isActive={index === place}
        isLiking={of.kind === 'liking'}
        onFocus={() => setPlace(index)}
        hold={(element) => {
          if (element) cells.current.set(index, element);
        }}
      />
    );
  };
  return (
    <div>
      <div role="group" aria-label="Scores" onKeyDown={onKeyDown}>
        <div className="grid grid-cols-[1fr_5rem_5rem] items-end gap-x-2 border-b border-ink pb-1 text-tiny text-quiet">
          <span />
          <span className="text-center">
            how much <span className="reading block">0–10</span>
          </span>
          <span className="text-center">
            liked <span className="reading block">1–9</span>
          </span>
        </div>
        {INTENSITIES.map((attribute, row) => (
          <div
            key={attribute}
            className={classes(
              'grid grid-cols-[1fr_5rem_5rem] items-center gap-x-2 border-b border-rule',
              active.of === attribute ? 'bg-wash' : '',
            )}
          >
            <span className="pl-1 text-large">{INTENSITY_WORDS[attribute]}</span>
            {cell(2 * row)}
            {cell(2 * row + 1)}
          </div>
        ))}
        <div
          className={classes(
            'grid grid-cols-[1fr_5rem_5rem] items-center gap-x-2 border-b border-ink',
            active.of === 'overall' ? 'bg-wash' : '',
          )}
        >
          <span className="col-span-2 pl-1 text-large font-semibold">The cup</span>
          {cell(CELLS.length - 1)}
        </div>
      </div>
      <DigitPad cell={active} onDigit={fill} onSkip={() => goTo(place + 1)} onBack={() => goTo(place - 1)} />
    </div>
  );
}

interface ScoreCellProps {
  name: string;
  value: number | null;
  low: number;
  high: number;
  isActive: boolean;
  isLiking: boolean;
  onFocus: () => void;
  hold: (element: HTMLDivElement | null) => void;
}

function ScoreCell({ name, value, low, high, isActive, isLiking, onFocus, hold }: ScoreCellProps) {
  return (
    <div
      ref={hold}
      role="spinbutton"
      tabIndex={isActive ? 0 : -1}
      aria-label={name}
      aria-valuemin={low}
      aria-valuemax={high}
      aria-valuenow={value ?? undefined}
      aria-valuetext={value === null ? 'not said' : `${value} of ${high}`}
      onFocus={onFocus}
      className={classes(
        'reading my-1 flex h-10 scroll-mb-44 cursor-pointer items-center justify-center rounded-edge border text-large font-semibold',
        isActive ? 'border-2 border-ink bg-raised' : 'border-edge bg-raised',
        value === null ? 'text-quiet' : isLiking ? 'text-yield' : 'text-ink',
      )}
    >
      {value ?? '–'}
    </div>
  );
}
