import { scaleLinear } from 'd3-scale';
import {
  movementOf,
  SHEET,
  TASTING_STAGES,
  type AttributeMovement,
  type Intensity,
  type SheetOf,
  type Stop,
  type TastingStage,
} from '@vendu/core';
import { INTENSITY_WORDS, TASTING_STAGE_WORDS } from '../ui/words';

const ROW = 40;
const LEFT = 92;
const RIGHT = 88;
const WIDTH = 520;
const TOP = 22;
/** How far a stroke has sunk in its row at each stage, and half its width there: it swells as the cup cools. */
const SUNK: Record<TastingStage, number> = { hot: -10, warm: 0, cool: 10 };
const HALF: Record<TastingStage, number> = { hot: 1.5, warm: 3, cool: 5 };

/** What happened in the cup from hot to cool: a stroke for each attribute that sinks and swells as the cup cools. */
export function Movement({ sheets }: { sheets: readonly SheetOf[] }) {
  const x = scaleLinear()
    .domain([SHEET.intensity.low, SHEET.intensity.high])
    .range([LEFT, WIDTH - RIGHT]);
  const movement = movementOf(sheets);
  const height = TOP + ROW * movement.length + 6;
  const people = new Set(sheets.map(({ personId }) => personId)).size;
  return (
    <figure className="m-0">
      <svg viewBox={`0 0 ${WIDTH} ${height}`} role="img" aria-label={spoken(movement)} className="w-full">
        {[0, 5, 10].map((tick) => (
          <text key={tick} x={x(tick)} y={12} textAnchor="middle" className="reading fill-quiet text-[11px]">
            {tick}
          </text>
        ))}
        <text x={WIDTH} y={12} textAnchor="end" className="fill-quiet text-[11px]">
          liked
        </text>
        {movement.map(({ attribute, intensities, likings }, row) => {
          const y = TOP + ROW * row + ROW / 2;
          return (
            <g key={attribute}>
              <text x={0} y={y + 4} className="fill-ink text-[13px]">
                {INTENSITY_WORDS[attribute]}
              </text>
              <line x1={x(0)} x2={x(10)} y1={y + ROW / 2} y2={y + ROW / 2} className="stroke-rule" />
              <TasterMarks sheets={sheets} attribute={attribute} x={x} y={y} />
              <Stroke stops={intensities} x={x} y={y} />
              <text x={WIDTH} y={y + 4} textAnchor="end" className="reading fill-yield text-[12px]">
                {likings.map(({ value }) => rounded(value)).join(' → ')}
              </text>
            </g>
          );
        })}
      </svg>
      <figcaption className="caption mt-1">
        From hot, above, to {TASTING_STAGE_WORDS[lastStage(sheets)].toLowerCase()}, below.
        {people > 1 ? ` The middle of ${people} tasters; each of them has a mark.` : ''}
      </figcaption>
    </figure>
  );
}

function Stroke({ stops, x, y }: { stops: readonly Stop[]; x: (value: number) => number; y: number }) {
  const last = stops.at(-1);
  if (!last) return null;
  return (
    <>
      {stops.slice(1).map((to, index) => {
        const from = stops[index] as Stop;
        const corner = ({ stage, value }: Stop, side: -1 | 1) =>
          `${x(value) + side * HALF[stage]},${y + SUNK[stage]}`;
        return (
          <polygon
            key={to.stage}
            points={[corner(from, -1), corner(to, -1), corner(to, 1), corner(from, 1)].join(' ')}
            className="fill-ink/40"
          />
        );
      })}
      {stops.map(({ stage, value }) => (
        <circle
          key={stage}
          cx={x(value)}
          cy={y + SUNK[stage]}
          r={HALF[stage] + 0.5}
          className={stage === last.stage ? 'fill-ink' : 'fill-time'}
        />
      ))}
    </>
  );
}

/** Each taster's own score, where several scored a stage. */
function TasterMarks({
  sheets,
  attribute,
  x,
  y,
}: {
  sheets: readonly SheetOf[];
  attribute: Intensity;
  x: (value: number) => number;
  y: number;
}) {
  return TASTING_STAGES.flatMap((stage) => {
    const scored = sheets.filter((sheet) => sheet.stage === stage && sheet.intensities[attribute] !== null);
    if (scored.length < 2) return [];
    return scored.map(({ personId, intensities }) => (
      <line
        key={`${stage}.${personId}`}
        x1={x(intensities[attribute] ?? 0)}
        x2={x(intensities[attribute] ?? 0)}
        y1={y + SUNK[stage] - 4}
        y2={y + SUNK[stage] + 4}
        className="stroke-edge"
      />
    ));
  });
}

function lastStage(sheets: readonly SheetOf[]): TastingStage {
  return TASTING_STAGES.findLast((stage) => sheets.some((sheet) => sheet.stage === stage)) ?? 'hot';
}

const rounded = (value: number) => String(Math.round(value * 10) / 10);

/** The drawing for the ear: "acidity 6 hot, 5 warm; body 4 hot". */
function spoken(movement: readonly AttributeMovement[]): string {
  const lines = movement.flatMap(({ attribute, intensities }) =>
    intensities.length === 0
      ? []
      : [`${attribute} ${intensities.map(({ stage, value }) => `${rounded(value)} ${stage}`).join(', ')}`],
  );
  return `From hot to cool: ${lines.join('; ')}`;
}
