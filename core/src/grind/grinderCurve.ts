import { firstOutOfRange, type OutOfRange, type Range } from '../input/ranges.js';
import { failure, success, type Failure, type Result } from '../result.js';
import type { CalibrationPoint } from './grinderSetting.js';

/** A measured point of a grinder, with how well it was measured. */
export interface MeasuredPoint extends CalibrationPoint {
  /** Standard uncertainty, um; 5 % of the size where nobody knows (assumed). */
  sdUm?: number;
}

/** A point of a grinder's curve. */
export interface CurvePoint {
  setting: number;
  grindUm: number;
  sdUm: number;
}

export interface GrinderCurve {
  /** From the finest setting to the coarsest; the size never falls. */
  points: CurvePoint[];
  /** Settings whose measured sizes contradicted each other and were averaged. */
  averagedSettings: number[];
}

const RANGES = {
  setting: { low: -1000, high: 10_000, unit: '' },
  grindUm: { low: 20, high: 5000, unit: 'µm' },
  sdUm: { low: 0.1, high: 2000, unit: 'µm' },
} satisfies Record<keyof MeasuredPoint, Range>;
const UNKNOWN_SHARE = 0.05;
/** Between two points a curve may bow by so much of their distance, at most in the middle (assumed). */
const BOW = 0.1;

/**
 * A grinder's curve from measured points: as measured where the sizes rise with the setting, the mean by
 * weight where they contradict each other.
 *
 * Source: isotonic regression by pooling adjacent violators, Ayer and others, Ann. Math. Stat. 26 (1955) 641.
 */
export function grinderCurve({
  points,
}: {
  points: readonly MeasuredPoint[];
}): Result<GrinderCurve, OutOfRange | Failure<'too-few-points' | 'no-rise'>> {
  for (const [index, point] of points.entries()) {
    const fault = firstOutOfRange(point, RANGES);
    if (fault) return { ...fault, field: `points.${index}.${fault.field}` };
  }
  if (new Set(points.map(({ setting }) => setting)).size < 2) {
    return failure('too-few-points', 'A curve needs measured points at two settings or more.');
  }
  const blocks = pooled(
    [...points]
      .sort((a, b) => a.setting - b.setting)
      .map(({ setting, grindUm, sdUm = UNKNOWN_SHARE * grindUm }) => ({
        settings: [setting],
        grindUm,
        weight: 1 / sdUm ** 2,
      })),
  );
  if (blocks.length < 2) {
    return failure('no-rise', 'The sizes do not rise with the setting; measure the points again.');
  }
  return success({
    points: blocks.flatMap(({ settings, grindUm, weight }) =>
      [...new Set([settings[0], settings.at(-1)])].flatMap((setting) =>
        setting === undefined ? [] : [{ setting, grindUm, sdUm: 1 / Math.sqrt(weight) }],
      ),
    ),
    averagedSettings: blocks.flatMap(({ settings }) => (new Set(settings).size > 1 ? settings : [])),
  });
}

interface Block {
  settings: number[];
  grindUm: number;
  weight: number;
}

/** Neighbours whose sizes do not rise become one block with their mean, until all rise. */
function pooled(points: readonly Block[]): Block[] {
  const blocks: Block[] = [];
  for (const point of points) {
    let block = point;
    for (let before = blocks.at(-1); before && mustPool(before, block); before = blocks.at(-1)) {
      blocks.pop();
      const weight = before.weight + block.weight;
      block = {
        settings: [...before.settings, ...block.settings],
        grindUm: (before.grindUm * before.weight + block.grindUm * block.weight) / weight,
        weight,
      };
    }
    blocks.push(block);
  }
  return blocks;
}

function mustPool(before: Block, after: Block): boolean {
  return before.grindUm >= after.grindUm || before.settings.at(-1) === after.settings[0];
}

/** Size at a setting with its uncertainty; `null` outside the measured span. */
export function sizeAt({ points }: GrinderCurve, setting: number): { grindUm: number; sdUm: number } | null {
  const above = points.findIndex((point) => point.setting >= setting);
  const high = points[above];
  const low = points[Math.max(0, above - 1)];
  if (!high || !low || setting < low.setting) return null;
  const share = high.setting === low.setting ? 1 : (setting - low.setting) / (high.setting - low.setting);
  const measured = Math.hypot((1 - share) * low.sdUm, share * high.sdUm);
  const bow = BOW * (high.grindUm - low.grindUm) * 4 * share * (1 - share);
  return { grindUm: low.grindUm + share * (high.grindUm - low.grindUm), sdUm: Math.hypot(measured, bow) };
}

/** Setting at a size, in the middle of a stretch where several settings grind alike; `null` out of reach. */
export function settingAt({ points }: GrinderCurve, grindUm: number): number | null {
  const above = points.findIndex((point) => point.grindUm >= grindUm);
  const high = points[above];
  const low = points[Math.max(0, above - 1)];
  if (!high || !low || grindUm < low.grindUm) return null;
  if (high.grindUm === grindUm) {
    const alike = points.filter((point) => point.grindUm === grindUm);
    return (high.setting + (alike.at(-1)?.setting ?? high.setting)) / 2;
  }
  return (
    low.setting + ((grindUm - low.grindUm) / (high.grindUm - low.grindUm)) * (high.setting - low.setting)
  );
}
