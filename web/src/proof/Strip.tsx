import { scaleLinear } from 'd3-scale';
import { classes } from '../ui/classes';

export interface StripPoint {
  value: number;
  /** Whose, counted from 0: shapes go by it. */
  hand: number;
  words: string;
}

interface StripProps {
  points: readonly StripPoint[];
  /** Nine of ten further ones. */
  expected: { low: number; high: number } | null;
  hue: 'strength' | 'yield' | 'time';
  span: number;
  hands: readonly string[];
  print: (value: number) => string;
}

const WIDTH = 420;
const HEIGHT = 40;
const MID = 16;
const FILL = { strength: 'fill-strength', yield: 'fill-yield', time: 'fill-time' };
const STROKE = { strength: 'stroke-strength', yield: 'stroke-yield', time: 'stroke-time' };

/** Single brews on a rule, a shape for each pair of hands, over the band of what is to be expected. */
export function Strip({ points, expected, hue, span, hands, print }: StripProps) {
  const drawn = [...points.map(({ value }) => value), ...(expected ? [expected.low, expected.high] : [])];
  const [least, most] = [Math.min(...drawn), Math.max(...drawn)];
  const margin = Math.max(0, span - (most - least)) / 2 + span * 0.05;
  const x = scaleLinear([least - margin, most + margin], [6, WIDTH - 6]);
  const ticks = x.ticks(4);
  const words = points.map((point) => `${print(point.value)}, ${point.words}`).join('; ');
  return (
    <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className="w-full" role="img" aria-label={words}>
      {expected && (
        <rect
          x={x(expected.low)}
          width={x(expected.high) - x(expected.low)}
          y={4}
          height={2 * (MID - 4)}
          className={classes(FILL[hue], 'opacity-15')}
        />
      )}
      <line x1={0} x2={WIDTH} y1={MID} y2={MID} className="stroke-rule" />
      {ticks.map((tick) => (
        <g key={tick}>
          <line x1={x(tick)} x2={x(tick)} y1={MID - 3} y2={MID + 3} className="stroke-edge" />
          <text x={x(tick)} y={HEIGHT - 2} textAnchor="middle" className="reading fill-quiet text-[11px]">
            {print(tick)}
          </text>
        </g>
      ))}
      {points.map(({ value, hand, words: told }, index) => (
        <g key={index} transform={`translate(${x(value)} ${MID})`}>
          <title>{told}</title>
          <Shape hand={hand % 3} hue={hue} isAlone={hands.length === 1} />
        </g>
      ))}
    </svg>
  );
}

/** A disc, a diamond, a ring: whoever brewed first, second, third. */
function Shape({ hand, hue, isAlone }: { hand: number; hue: StripProps['hue']; isAlone: boolean }) {
  if (isAlone || hand === 0) return <circle r={5} className={classes(FILL[hue], 'stroke-sheet')} />;
  if (hand === 1)
    return <path d="M0 -6.5 L6.5 0 L0 6.5 L-6.5 0 Z" className={classes(FILL[hue], 'stroke-sheet')} />;
  return <circle r={4.5} strokeWidth={2} className={classes('fill-sheet', STROKE[hue])} />;
}
