import { scaleLinear } from 'd3-scale';
import type { WaterView } from '@vendu/contract';

const SIZE = { width: 360, height: 220 };
const MARGIN = { top: 12, right: 16, bottom: 34, left: 44 };
/** The map reaches at least so far, mg/L as CaCO3, so that two waters can be told apart by eye. */
const REACHES_MG_PER_L = 120;
const TICKS = 4;

/** The waters beside each other: hardness to the right, alkalinity upwards. */
export function WaterMap({ waters }: { waters: readonly WaterView[] }) {
  const reach = (figures: number[]) => Math.max(REACHES_MG_PER_L, ...figures) * 1.05;
  const x = scaleLinear(
    [0, reach(waters.map(({ hardnessMgPerL }) => hardnessMgPerL))],
    [MARGIN.left, SIZE.width - MARGIN.right],
  );
  const y = scaleLinear(
    [0, reach(waters.map(({ alkalinityMgPerL }) => alkalinityMgPerL))],
    [SIZE.height - MARGIN.bottom, MARGIN.top],
  );
  const [floor, left] = [y(0), x(0)];
  return (
    <svg
      viewBox={`0 0 ${SIZE.width} ${SIZE.height}`}
      width={SIZE.width}
      height={SIZE.height}
      role="img"
      aria-label={`Hardness and alkalinity of ${waters.map(({ name }) => name).join(', ')}`}
      className="max-w-full"
    >
      {x.ticks(TICKS).map((tick) => (
        <g key={tick}>
          <line x1={x(tick)} x2={x(tick)} y1={MARGIN.top} y2={floor} className="stroke-rule" />
          <text x={x(tick)} y={floor + 14} textAnchor="middle" className="reading fill-quiet text-[11px]">
            {tick}
          </text>
        </g>
      ))}
      {y.ticks(TICKS).map((tick) => (
        <g key={tick}>
          <line x1={left} x2={SIZE.width - MARGIN.right} y1={y(tick)} y2={y(tick)} className="stroke-rule" />
          <text x={left - 6} y={y(tick) + 4} textAnchor="end" className="reading fill-quiet text-[11px]">
            {tick}
          </text>
        </g>
      ))}
      <text x={left} y={SIZE.height - 4} className="fill-quiet text-[11px]">
        hardness, mg/L as CaCO3
      </text>
      <text x={12} y={floor} transform={`rotate(-90 12 ${floor})`} className="fill-quiet text-[11px]">
        alkalinity
      </text>
      {waters.map(({ id, name, hardnessMgPerL, alkalinityMgPerL }) => {
        // Names keep inside the drawing: to the left of a point on its right half.
        const isRight = x(hardnessMgPerL) > SIZE.width / 2;
        return (
          <g key={id}>
            <circle cx={x(hardnessMgPerL)} cy={y(alkalinityMgPerL)} r={5} className="fill-water" />
            <text
              x={x(hardnessMgPerL) + (isRight ? -9 : 9)}
              y={y(alkalinityMgPerL) + 4}
              textAnchor={isRight ? 'end' : 'start'}
              className="halo fill-ink text-[12px] font-medium"
            >
              {name}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
