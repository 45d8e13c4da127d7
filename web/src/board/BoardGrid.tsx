import { formatDuration } from '@vendu/core';
import type { BoardScales } from './boardScales';

/** Half minutes behind the drawing, the minutes drawn through and named. */
export function BoardGrid({ scales: { x, y, lastS } }: { scales: BoardScales }) {
  const [floor, top] = y.range() as [number, number];
  const halfMinutes = Array.from({ length: Math.floor(lastS / 30) + 1 }, (_, index) => index * 30);
  return (
    <g aria-hidden>
      {halfMinutes.map((atS) => (
        <g key={atS}>
          <line
            x1={x(atS)}
            x2={x(atS)}
            y1={top}
            y2={floor}
            className="stroke-rule"
            strokeDasharray={atS % 60 === 0 ? undefined : '1 4'}
          />
          <text x={x(atS)} y={floor + 18} textAnchor="middle" className="reading fill-time text-[11px]">
            {formatDuration(atS)}
          </text>
        </g>
      ))}
      <line x1={x(0)} x2={x(lastS)} y1={floor} y2={floor} className="stroke-ink" />
      {y.ticks(4).map((totalG) => (
        <text
          key={totalG}
          x={x(0) - 7}
          y={y(totalG) + 4}
          textAnchor="end"
          className="reading fill-water text-[11px]"
        >
          {totalG}
        </text>
      ))}
      <text x={x(0) - 7} y={top - 8} textAnchor="end" className="fill-water text-[11px]">
        water, g
      </text>
    </g>
  );
}
