import { scaleLinear } from 'd3-scale';
import type { Expected } from '@vendu/core';
import { classes } from './classes';

interface BandBarProps {
  name: string;
  unit: string;
  hue: 'strength' | 'yield' | 'time';
  print: (value: number) => string;
  expected: Expected;
  /** The window aimed at; `null` where there is no aim. */
  wanted: { low: number; high: number } | null;
  /** What the plan itself says, drawn as a line. */
  planned?: number | null;
  scale: { low: number; high: number };
  isRough: boolean;
}

const TEXT = { strength: 'text-strength', yield: 'text-yield', time: 'text-time' };
const FILL = { strength: 'fill-strength', yield: 'fill-yield', time: 'fill-time' };
const WIDTH = 300;
const HEIGHT = 26;

/** A figure to expect as a band on a rule, over the window aimed at. A rough one has no point in its middle. */
export function BandBar({
  name,
  unit,
  hue,
  print,
  expected,
  wanted,
  planned = null,
  scale,
  isRough,
}: BandBarProps) {
  const x = scaleLinear([scale.low, scale.high], [0, WIDTH]).clamp(true);
  const words = `${print(expected.low)} to ${print(expected.high)}${unit && ` ${unit}`}`;
  return (
    <div className="grid grid-cols-[4.5rem_minmax(0,1fr)_11rem] items-center gap-x-3">
      <span className="text-small text-quiet">{name}</span>
      <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} preserveAspectRatio="none" className="h-6.5 w-full" aria-hidden>
        {wanted && (
          <rect
            x={x(wanted.low)}
            width={Math.max(2, x(wanted.high) - x(wanted.low))}
            y={2}
            height={HEIGHT - 4}
            className={classes(FILL[hue], 'opacity-12')}
          />
        )}
        <line x1={0} x2={WIDTH} y1={HEIGHT / 2} y2={HEIGHT / 2} className="stroke-rule" />
        <rect
          x={x(expected.low)}
          width={Math.max(2, x(expected.high) - x(expected.low))}
          y={HEIGHT / 2 - 3}
          height={6}
          className={classes(FILL[hue], isRough ? 'opacity-45' : 'opacity-75')}
        />
        {planned !== null && (
          <line
            x1={x(planned)}
            x2={x(planned)}
            y1={1}
            y2={HEIGHT - 1}
            className="stroke-ink"
            strokeDasharray="3 2"
            vectorEffect="non-scaling-stroke"
          />
        )}
        {!isRough && (
          <rect x={x(expected.value) - 1} width={2} y={4} height={HEIGHT - 8} className={FILL[hue]} />
        )}
      </svg>
      <span className={classes('reading text-small whitespace-nowrap', TEXT[hue])}>
        {isRough ? (
          <span className="font-medium">{words}</span>
        ) : (
          <>
            <span className="text-large font-semibold">{print(expected.value)}</span>{' '}
            <span className="text-tiny">({words})</span>
          </>
        )}
      </span>
    </div>
  );
}
