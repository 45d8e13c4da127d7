import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { memo } from 'react';
import type { BoardForecast } from './forecaster';
import { BOARD_MARGIN, type BoardScales } from './boardScales';

interface CourseStripProps {
  forecast: BoardForecast;
  scales: BoardScales;
  brewerHeightM: number;
}

const ROW_PX = 46;
const GAP_PX = 9;
/** Three quarters of the brewer is where practice stops pouring. */
const FULL_SHARE = 0.75;

interface Row {
  name: string;
  unit: string;
  stroke: string;
  fill: string;
  values: readonly number[];
  low: number;
  high: number;
  digits: number;
}

/** What happens in the brewer under the clock of the board: level against the rim, slurry, outflow. */
export const CourseStrip = memo(function CourseStrip({ forecast, scales, brewerHeightM }: CourseStripProps) {
  const { course } = forecast;
  const rows: Row[] = [
    {
      name: 'level',
      unit: 'mm',
      stroke: 'stroke-water',
      fill: 'fill-water',
      values: course.levelM.map((levelM) => levelM * 1000),
      low: 0,
      high: brewerHeightM * 1000,
      digits: 0,
    },
    {
      name: 'slurry',
      unit: '°C',
      stroke: 'stroke-temperature',
      fill: 'fill-temperature',
      values: course.slurryC,
      low: 60,
      high: 100,
      digits: 0,
    },
    {
      name: 'outflow',
      unit: 'g/s',
      stroke: 'stroke-flow',
      fill: 'fill-flow',
      values: course.outflowGps,
      low: 0,
      high: Math.max(4, ...course.outflowGps),
      digits: 1,
    },
  ];
  const height = rows.length * (ROW_PX + GAP_PX);
  return (
    <svg
      width={scales.width}
      height={height}
      viewBox={`0 0 ${scales.width} ${height}`}
      role="img"
      aria-label={summaryOf(rows)}
      className="block max-w-full"
    >
      {rows.map((row, index) => (
        <CourseRow
          key={row.name}
          row={row}
          atS={course.atS}
          scales={scales}
          top={index * (ROW_PX + GAP_PX) + GAP_PX}
          rim={row.name === 'level'}
        />
      ))}
    </svg>
  );
});

function CourseRow({
  row,
  atS,
  scales: { x, width },
  top,
  rim,
}: {
  row: Row;
  atS: readonly number[];
  scales: BoardScales;
  top: number;
  rim: boolean;
}) {
  const y = scaleLinear([row.low, row.high], [top + ROW_PX, top + 4]).clamp(true);
  const path = line<number>(
    (_, at) => x(atS[at] ?? 0),
    (value) => y(value),
  );
  const right = width - BOARD_MARGIN.right;
  const most = Math.max(...row.values);
  const mostAt = row.values.indexOf(most);
  return (
    <g>
      <line x1={x(0)} x2={right} y1={top + ROW_PX} y2={top + ROW_PX} className="stroke-rule" />
      {rim && (
        <>
          <line x1={x(0)} x2={right} y1={y(row.high)} y2={y(row.high)} className="stroke-ink" />
          <text x={right + 5} y={y(row.high) + 4} className="fill-ink text-[11px]">
            rim
          </text>
          <line
            x1={x(0)}
            x2={right}
            y1={y(row.high * FULL_SHARE)}
            y2={y(row.high * FULL_SHARE)}
            className="stroke-edge"
            strokeDasharray="2 3"
          />
          <text x={right + 5} y={y(row.high * FULL_SHARE) + 4} className="fill-quiet text-[11px]">
            full
          </text>
        </>
      )}
      <path d={path([...row.values]) ?? ''} className={`fill-none ${row.stroke}`} strokeWidth={1.75} />
      <text x={x(0) - 7} y={top + 14} textAnchor="end" className={`${row.fill} text-[11px] font-medium`}>
        {row.name}
      </text>
      <text x={x(0) - 7} y={top + 27} textAnchor="end" className="fill-quiet text-[11px]">
        {row.unit}
      </text>
      <text
        x={x(atS[mostAt] ?? 0)}
        y={y(most) - 4}
        textAnchor="middle"
        className={`reading halo ${row.fill} text-[11px]`}
      >
        {most.toFixed(row.digits)}
      </text>
    </g>
  );
}

function summaryOf(rows: readonly Row[]): string {
  return rows
    .map(({ name, unit, values, digits }) => `${name} up to ${Math.max(...values).toFixed(digits)} ${unit}`)
    .join(', ');
}
