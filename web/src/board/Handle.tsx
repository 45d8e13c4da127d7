import type { KeyboardEventHandler, PointerEventHandler } from 'react';
import { classes } from '../ui/classes';

interface HandleProps {
  kind: 'start' | 'end' | 'drawdown';
  x: number;
  y: number;
  label: string;
  value: number;
  text: string;
  isSelected: boolean;
  onPointerDown: PointerEventHandler;
  onPointerMove: PointerEventHandler;
  onPointerUp: PointerEventHandler;
  onPointerCancel: PointerEventHandler;
  onKeyDown: KeyboardEventHandler;
  onFocus: () => void;
}

/** Wet fingers need room: what can be hit is far larger than what is drawn, px. */
const REACH_PX = 15;

/** A corner of the staircase that can be taken hold of. Starts are ticks on the clock, ends squares on the line. */
export function Handle({ kind, x, y, label, value, text, isSelected, ...events }: HandleProps) {
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label={label}
      aria-valuenow={Math.round(value)}
      aria-valuetext={text}
      transform={`translate(${x},${y})`}
      className={classes(
        'group touch-none outline-none',
        kind === 'end' ? 'cursor-move' : 'cursor-ew-resize',
      )}
      {...events}
    >
      <rect
        x={-REACH_PX}
        y={-REACH_PX}
        width={2 * REACH_PX}
        height={2 * REACH_PX}
        className="fill-transparent"
      />
      <rect
        x={-11}
        y={-11}
        width={22}
        height={22}
        className="fill-none stroke-water opacity-0 group-focus-visible:opacity-100"
        strokeWidth={2}
      />
      {kind === 'start' ? (
        <path
          d="M0,-7 L6,5 H-6 Z"
          className={classes('stroke-time', isSelected ? 'fill-time' : 'fill-raised')}
          strokeWidth={1.5}
        />
      ) : (
        <rect
          x={-5}
          y={-5}
          width={10}
          height={10}
          className={classes(
            kind === 'end' ? 'stroke-water' : 'stroke-time',
            isSelected ? (kind === 'end' ? 'fill-water' : 'fill-time') : 'fill-raised',
          )}
          strokeWidth={2}
        />
      )}
    </g>
  );
}
