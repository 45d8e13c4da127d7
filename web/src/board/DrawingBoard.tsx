import { line } from 'd3-shape';
import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import {
  agitationWords,
  endWords,
  formatDuration,
  moveDrawdown,
  movePourEnd,
  movePourStart,
  pourEndS,
  pouringWords,
  startWords,
  runningTotalsG,
  staircase,
  type BrewPlan,
  type StaircasePoint,
} from '@vendu/core';
import { BoardGrid } from './BoardGrid';
import { BOARD_MARGIN, boardScales, type BoardScales } from './boardScales';
import { Handle } from './Handle';
import { BallMark, CupMarks, FedLine } from './PlanMarks';

interface DrawingBoardProps {
  plan: BrewPlan;
  width: number;
  height: number;
  /** Drawn thin behind. */
  behind?: BrewPlan | undefined;
  /** When the forecast ends, s; 0 where there is none. */
  /** When the pours are expected to begin, s; left out where nothing is forecast. */
  startsS?: readonly number[] | undefined;
  forecastEndS: number;
  selected: number | null;
  onSelect: (index: number) => void;
  /** A plan while it is dragged: shown and forecast, not yet an edit. `null` puts the drag back. */
  onDrag: (plan: BrewPlan | null) => void;
  /** The plan as an edit left it; refused with words where a lock stands against it. */
  onOffer: (plan: BrewPlan) => string | undefined;
}

/** What a handle moves. */
type Grip = { kind: 'start' | 'end'; index: number } | { kind: 'drawdown' };

/** A drag under way: where it began, on which plan and on which scales. */
interface Drag {
  grip: Grip;
  from: BrewPlan;
  scales: BoardScales;
  clientX: number;
  clientY: number;
  /** The drawing on the page when it was taken hold of: asking at every move would lay the page out each time. */
  box: { left: number; top: number; width: number; height: number };
}

/** A hand that moves a corner up does not mean to move it sideways by less than this, px. */
const STRAIGHT_PX = 6;

/** Arrow keys move by one, with Shift by this many. */
const BIG_STEP = 5;

/** The staircase as a drawing that is edited: every corner is a handle for mouse, touch and keys. */
export function DrawingBoard(props: DrawingBoardProps) {
  const { plan, startsS, width, height, behind, forecastEndS, selected, onSelect, onDrag, onOffer } = props;
  const drawing = useRef<SVGSVGElement>(null);
  // While something is dragged the scales stand still, or the drawing would run from under the pointer.
  const [drag, setDrag] = useState<Drag | null>(null);
  const live = boardScales(plan, { width, height, behind, forecastEndS });
  const scales = drag?.scales ?? live;
  const { x, y } = scales;
  const totals = runningTotalsG(plan);
  const path = line<StaircasePoint>(
    ({ atS }) => x(atS),
    ({ totalG }) => y(totalG),
  );
  const points = staircase({ pours: plan.pours, endS: plan.drawdownS });
  const floor = y(0);

  function pointAt({ box }: Drag, event: PointerEvent): { atS: number; totalG: number } {
    const atX = ((event.clientX + window.scrollX - box.left) * width) / box.width;
    const atY = ((event.clientY + window.scrollY - box.top) * height) / box.height;
    return { atS: Math.round(x.invert(atX)), totalG: Math.round(y.invert(atY)) };
  }
  function begin(grip: Grip, event: PointerEvent) {
    event.currentTarget.setPointerCapture(event.pointerId);
    if (grip.kind !== 'drawdown') onSelect(grip.index);
    const box = drawing.current?.getBoundingClientRect();
    setDrag({
      grip,
      from: plan,
      scales: live,
      clientX: event.clientX,
      clientY: event.clientY,
      box: {
        left: (box?.left ?? 0) + window.scrollX,
        top: (box?.top ?? 0) + window.scrollY,
        width: box?.width || width,
        height: box?.height || height,
      },
    });
  }
  function move(event: PointerEvent) {
    if (drag) onDrag(withGripAt(drag.from, drag.grip, pointAt(drag, event), along(drag, event)));
  }
  function end(event: PointerEvent) {
    if (!drag) return;
    const next = withGripAt(drag.from, drag.grip, pointAt(drag, event), along(drag, event));
    setDrag(null);
    onDrag(null);
    if (next !== drag.from) onOffer(next);
  }
  function byKey(grip: Grip, event: KeyboardEvent) {
    const by = event.shiftKey ? BIG_STEP : 1;
    const steps: Record<string, [number, number]> = {
      ArrowLeft: [-by, 0],
      ArrowRight: [by, 0],
      ArrowUp: [0, by],
      ArrowDown: [0, -by],
    };
    const step = steps[event.key];
    if (!step) return;
    event.preventDefault();
    const at = placeOf(plan, grip);
    const next = withGripAt(
      plan,
      grip,
      { atS: Math.round(at.atS) + step[0], totalG: at.totalG + step[1] },
      step[0] !== 0 ? 'clock' : 'water',
    );
    if (next !== plan) onOffer(next);
  }

  const handle = (grip: Grip, label: string, text: string) => {
    const { atS, totalG } = placeOf(plan, grip);
    return (
      <Handle
        key={label}
        kind={grip.kind}
        x={x(atS)}
        y={grip.kind === 'drawdown' ? y(totalG) : grip.kind === 'start' ? floor : y(totalG)}
        label={label}
        value={grip.kind === 'end' ? totalG : atS}
        text={text}
        isSelected={grip.kind !== 'drawdown' && grip.index === selected}
        onPointerDown={(event) => begin(grip, event)}
        onPointerMove={move}
        onPointerUp={end}
        onPointerCancel={() => {
          setDrag(null);
          onDrag(null);
        }}
        onKeyDown={(event) => byKey(grip, event)}
        onFocus={() => grip.kind !== 'drawdown' && onSelect(grip.index)}
      />
    );
  };

  return (
    <svg
      ref={drawing}
      width={width}
      height={height}
      viewBox={`0 0 ${width} ${height}`}
      role="group"
      aria-label={`Drawing board: ${plan.pours.length} pours, ${totals.at(-1) ?? 0} grams, drained at ${formatDuration(plan.drawdownS)}`}
      className="block max-w-full select-none"
    >
      <BoardGrid scales={scales} />
      <path
        d={`${path(points) ?? ''}L${x(plan.drawdownS)},${floor}L${x(0)},${floor}Z`}
        className="fill-water/7"
      />
      {behind && (
        <path
          d={path(staircase({ pours: behind.pours, endS: behind.drawdownS })) ?? ''}
          className="fill-none stroke-edge"
          strokeDasharray="2 3"
        />
      )}
      <path
        d={path(points) ?? ''}
        className="fill-none stroke-water"
        strokeWidth={2.5}
        strokeLinejoin="round"
      />
      {plan.pours.map((pour, index) => {
        const endX = x(pourEndS(pour));
        const totalG = totals[index] ?? 0;
        return (
          <g key={index} aria-hidden>
            <text
              {...labelPlace(endX)}
              y={y(totalG) - 9}
              className="reading halo fill-water text-[13px] font-semibold"
            >
              {totalG}
              <tspan className="text-[11px] font-normal"> g</tspan>
            </text>
            <text x={endX + 9} y={y(totalG) + 16} className="halo fill-quiet text-[11px]">
              {[agitationWords(pour), pouringWords(pour)].filter((words) => words !== null).join(', ')}
            </text>
            {pour.startsWhen !== undefined && (
              // Beside the handle of its start, under the water.
              <text
                {...waitPlace(x(pour.startS), width)}
                y={floor - 18}
                className="halo fill-time text-[11px]"
              >
                {startWords(pour)}
                {startsS?.[index] !== undefined && `, about ${formatDuration(startsS[index])}`}
              </text>
            )}
            {pour.kettleC !== undefined && (
              <text
                x={x(pour.startS) + 5}
                y={floor - 6}
                className="reading halo fill-temperature text-[11px]"
              >
                {pour.kettleC} °C
              </text>
            )}
          </g>
        );
      })}
      {plan.regulatorGps !== undefined && (
        <FedLine plan={plan} regulatorGps={plan.regulatorGps} scales={scales} />
      )}
      <CupMarks scales={scales} plan={plan} />
      {plan.ballUntilS !== undefined && <BallMark scales={scales} untilS={plan.ballUntilS} />}
      <line
        x1={x(plan.drawdownS)}
        x2={x(plan.drawdownS)}
        y1={y(totals.at(-1) ?? 0)}
        y2={floor}
        className="stroke-time"
        strokeDasharray="3 3"
      />
      <text
        x={x(plan.drawdownS) + 9}
        y={y(totals.at(-1) ?? 0) + 4}
        className="fill-quiet text-[11px]"
        aria-hidden
      >
        {plan.lifts ? 'lifted' : 'drained'}
      </text>
      <text
        x={x(plan.drawdownS) + 9}
        y={y(totals.at(-1) ?? 0) + 19}
        className="reading fill-time text-[12px] font-medium"
        aria-hidden
      >
        {endWords(plan)}
      </text>
      {plan.pours.map((pour, index) => {
        const name = pour.isBloom ? 'the bloom' : `pour ${index + 1}`;
        return (
          <g key={index}>
            {index > 0 &&
              handle(
                { kind: 'start', index },
                `Start of ${name}`,
                `starts at ${formatDuration(pour.startS)}`,
              )}
            {handle(
              { kind: 'end', index },
              `End of ${name}`,
              `${totals[index] ?? 0} grams at ${formatDuration(pourEndS(pour))}, ${pour.flowGps} grams a second`,
            )}
          </g>
        );
      })}
      {handle({ kind: 'drawdown' }, 'End of the brew', `ends at ${formatDuration(plan.drawdownS)}`)}
    </svg>
  );
}

/** Closer to the axis than this a label before its corner would run into the scale, px. */
const LABEL_ROOM_PX = 60;
/** Length of the longest sentence of what a pour waits for. */
const SENTENCE_PX = 290;

/** A total stands before its corner, clear of the rising line; beside the axis it stands after it. */
function labelPlace(endX: number): { x: number; textAnchor: 'start' | 'end' } {
  return endX < BOARD_MARGIN.left + LABEL_ROOM_PX
    ? { x: endX + 8, textAnchor: 'start' }
    : { x: endX - 6, textAnchor: 'end' };
}

/** What a pour waits for is a sentence: it stands after its start where there is room, else it ends at the edge. */
function waitPlace(startX: number, width: number): { x: number; textAnchor: 'start' | 'end' } {
  return startX + SENTENCE_PX < width
    ? { x: startX + 8, textAnchor: 'start' }
    : { x: width - 4, textAnchor: 'end' };
}

/** Where a handle stands. */
function placeOf(plan: BrewPlan, grip: Grip): { atS: number; totalG: number } {
  const totals = runningTotalsG(plan);
  if (grip.kind === 'drawdown') return { atS: plan.drawdownS, totalG: totals.at(-1) ?? 0 };
  const pour = plan.pours[grip.index];
  if (!pour) throw new RangeError(`no pour ${grip.index} on the board`);
  return grip.kind === 'start'
    ? { atS: pour.startS, totalG: totals[grip.index - 1] ?? 0 }
    : { atS: pourEndS(pour), totalG: totals[grip.index] ?? 0 };
}

/** Along the clock, up and down the water, or freely. */
type Direction = 'clock' | 'water' | 'both';

function along({ clientX, clientY }: Drag, event: PointerEvent): Direction {
  if (Math.abs(event.clientX - clientX) < STRAIGHT_PX) return 'water';
  return Math.abs(event.clientY - clientY) < STRAIGHT_PX ? 'clock' : 'both';
}

/** The plan with a handle moved to a place; the plan itself where it cannot go there. */
function withGripAt(
  plan: BrewPlan,
  grip: Grip,
  { atS, totalG }: { atS: number; totalG: number },
  direction: Direction,
): BrewPlan {
  if (grip.kind === 'drawdown') return direction === 'water' ? plan : moveDrawdown({ plan, drawdownS: atS });
  if (grip.kind === 'start') {
    return direction === 'water' ? plan : movePourStart({ plan, index: grip.index, startS: atS });
  }
  const edited = movePourEnd({
    plan,
    index: grip.index,
    ...(direction === 'clock' ? {} : { totalG }),
    ...(direction === 'water' ? {} : { endS: atS }),
  });
  return edited.ok ? edited.value : plan;
}
