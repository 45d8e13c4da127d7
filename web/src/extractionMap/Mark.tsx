const MARKS = ['circle', 'square', 'diamond', 'triangle'] as const;
export type MarkShape = (typeof MARKS)[number];

/** Of the recipe at a place of the list: four can be told apart. */
export function markOf(index: number): MarkShape {
  return MARKS[index % MARKS.length] ?? 'circle';
}

/** Where a brew lies, in the shape of its recipe. */
export function Mark({
  mark,
  cx,
  cy,
  r,
  fill,
}: {
  mark: MarkShape;
  cx: number;
  cy: number;
  r: number;
  fill: string;
}) {
  const look = { fill, stroke: 'var(--color-ink)', strokeWidth: 1.5 };
  if (mark === 'circle') return <circle cx={cx} cy={cy} r={r} {...look} />;
  const corners = CORNERS[mark].map(([x, y]) => `${cx + x * r},${cy + y * r}`).join(' ');
  return <polygon points={corners} {...look} />;
}

/** Of marks as large to the eye as a circle of radius 1. */
const CORNERS: Record<Exclude<MarkShape, 'circle'>, readonly (readonly [number, number])[]> = {
  square: [
    [-0.9, -0.9],
    [0.9, -0.9],
    [0.9, 0.9],
    [-0.9, 0.9],
  ],
  diamond: [
    [0, -1.3],
    [1.3, 0],
    [0, 1.3],
    [-1.3, 0],
  ],
  triangle: [
    [0, -1.25],
    [1.2, 0.95],
    [-1.2, 0.95],
  ],
};
