import { describe, expect, it } from 'vitest';
import type { Range } from '../input/ranges.js';
import { seededRandom } from '../random/seededRandom.js';
import { valueOf } from '../result.js';
import {
  BALL_RANGES,
  BREW_RANGES,
  BREWER_RANGES,
  GRIND_RANGES,
  LOT_RANGES,
  POUR_RANGES,
} from './checkBrew.js';
import { simulateBrew } from './simulateBrew.js';

const random = seededRandom(20_261_129);

/** Anywhere in a range, its ends now and then, and evenly over the powers of ten where it spans many. */
function within({ low, high }: Range): number {
  const ends = random();
  if (ends < 0.03) return low;
  if (ends > 0.97) return high;
  if (low > 0 && high / low > 100) return low * (high / low) ** random();
  return low + random() * (high - low);
}

function allWithin<F extends string>(
  ranges: Record<F, Range>,
  sometimes: readonly NoInfer<F>[] = [],
): Record<F, number> {
  const given = (Object.keys(ranges) as F[]).filter((field) => !sometimes.includes(field) || random() < 0.3);
  return Object.fromEntries(given.map((field) => [field, within(ranges[field])])) as Record<F, number>;
}

function anyBrew() {
  const pour = () => allWithin(POUR_RANGES, ['kettleC']);
  return {
    ...allWithin(BREW_RANGES, ['regulatorGps', 'liftAtS', 'bypassG']),
    grind: allWithin(GRIND_RANGES, ['sigmaG', 'finesShare']),
    pours: [
      { ...pour(), startS: 0, amountG: 1 + 400 * random(), flowGps: 1 + 20 * random() },
      ...Array.from({ length: Math.floor(random() * 4) }, pour),
    ],
    agitation:
      random() < 0.5 ? [{ atS: within({ low: 0, high: 300, unit: 's' }), kind: 'swirl' as const }] : [],
    lot: allWithin(LOT_RANGES),
    brewer: allWithin(BREWER_RANGES),
    ...(random() < 0.2 ? { chilledBall: allWithin(BALL_RANGES) } : {}),
    stepS: [0.5, 1, 2, 5][Math.floor(random() * 4)] ?? 1,
    longestS: 240,
  };
}

// Computed: the balances of the brew itself.
describe('any brew inside the allowed ranges', () => {
  it('is simulated in numbers, and loses neither water nor solubles', { timeout: 240_000 }, () => {
    for (let brew = 0; brew < 5000; brew++) {
      const input = anyBrew();
      const { series, warnings, ...forecast } = valueOf(simulateBrew(input));
      const figures = [...Object.values(forecast).flat(), ...Object.values(series).flat()];
      const isWhole = figures.every((figure) => typeof figure !== 'number' || Number.isFinite(figure));
      if (!isWhole || forecast.waterError > 1e-9 || forecast.soluteError > 1e-9) {
        throw new Error(`brew ${brew} is not whole: ${JSON.stringify(input)}`);
      }
      expect(warnings.every(({ atS }) => Number.isFinite(atS))).toBe(true);
    }
  });
});
