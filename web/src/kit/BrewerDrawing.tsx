import type { BrewerBuild, BrewerMeasures, Ribs } from '@vendu/core';

/** Every brewer is drawn at the same scale, so that they can be compared by eye: px for a mm. */
const PX_PER_MM = 1.15;
const MARGIN = 30;
/** Half-height of the opening's ellipse as a share of its half-width. */
const TILT = 0.14;
/** How far down the wall ribs go, and how far off it they are drawn, px. */
const RIBS_TO: Record<Ribs, number> = { none: 0, 'part-way': 0.55, full: 0.97 };
const RIB_PX = 5;

/** A brewer in profile, to scale from its figures, with the figures at the edges they measure. */
export function BrewerDrawing({
  name,
  measures,
}: {
  name: string;
  measures: BrewerMeasures & Partial<BrewerBuild>;
}) {
  const { topDiameterMm, bottomDiameterMm, heightMm, outletDiameterMm, outletCount } = measures;
  const [top, bottom, height] = [topDiameterMm, bottomDiameterMm, heightMm].map((mm) => mm * PX_PER_MM) as [
    number,
    number,
    number,
  ];
  const width = top + 2 * MARGIN + 20;
  const middle = MARGIN + top / 2;
  const rimY = MARGIN;
  const baseY = rimY + height;
  const hole = (outletDiameterMm * PX_PER_MM) / 2;
  const spread = outletCount > 1 ? bottom / 3 : 0;
  const holes = Math.min(outletCount, 5);
  const ribsTo = RIBS_TO[measures.ribs ?? 'none'];
  return (
    <svg
      width={width}
      height={baseY + 34}
      viewBox={`0 0 ${width} ${baseY + 34}`}
      role="img"
      aria-label={`${name} in profile: ${topDiameterMm} mm at the top, ${bottomDiameterMm} mm at the bottom, ${heightMm} mm high`}
      className="max-w-full"
    >
      <path
        d={`M${middle - top / 2},${rimY} L${middle - bottom / 2},${baseY} H${middle + bottom / 2} L${middle + top / 2},${rimY}`}
        className="fill-water/6 stroke-ink"
        strokeWidth={1.5}
      />
      {ribsTo > 0 &&
        [-1, 1].map((side) => (
          <line
            key={side}
            x1={middle + side * (top / 2 - RIB_PX)}
            y1={rimY + (top / 2) * TILT}
            x2={middle + side * (top / 2 - RIB_PX + (ribsTo * (bottom - top)) / 2)}
            y2={rimY + ribsTo * height}
            className="stroke-edge"
            strokeDasharray="2 2"
          />
        ))}
      <ellipse cx={middle} cy={rimY} rx={top / 2} ry={(top / 2) * TILT} className="fill-raised stroke-ink" />
      {Array.from({ length: holes }, (_, index) => (
        <line
          key={index}
          x1={middle + (index - (holes - 1) / 2) * spread - hole}
          x2={middle + (index - (holes - 1) / 2) * spread + hole}
          y1={baseY}
          y2={baseY}
          className="stroke-flow"
          strokeWidth={4}
        />
      ))}
      <text
        x={middle}
        y={rimY - (top / 2) * TILT - 5}
        textAnchor="middle"
        className="reading fill-ink text-[11px]"
      >
        {topDiameterMm} mm
      </text>
      <text x={middle} y={baseY + 14} textAnchor="middle" className="reading fill-ink text-[11px]">
        {bottomDiameterMm}
      </text>
      <text x={middle} y={baseY + 28} textAnchor="middle" className="reading fill-flow text-[11px]">
        {outletCount} × {outletDiameterMm} mm
      </text>
      <line x1={width - 26} x2={width - 26} y1={rimY} y2={baseY} className="stroke-edge" />
      <text x={width - 21} y={(rimY + baseY) / 2} className="reading fill-ink text-[11px]">
        {heightMm}
      </text>
    </svg>
  );
}
