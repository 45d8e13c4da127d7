import { firstOutOfRange, outOfRange, type OutOfRange, type Range } from '../input/ranges.js';
import { failure, type Failure } from '../result.js';
import { isWater } from './inflow.js';
import type { BrewModelInput, Grind } from './types.js';

/** Where the equations were tried and stay sane; wider than any recipe. */
export const BREW_RANGES = {
  doseG: { low: 0.5, high: 500, unit: 'g' },
  kettleC: { low: 1, high: 105, unit: '°C' },
  paperPerM: { low: 1e6, high: 1e12, unit: '1/m' },
  ambientC: { low: -10, high: 60, unit: '°C' },
  elevationM: { low: -500, high: 5500, unit: 'm' },
  regulatorGps: { low: 0.1, high: 100, unit: 'g/s' },
  liftAtS: { low: 0, high: 3600, unit: 's' },
  bypassG: { low: 0, high: 5000, unit: 'g' },
} satisfies Record<string, Range>;

export const GRIND_RANGES = {
  d50Um: { low: 50, high: 5000, unit: 'µm' },
  sigmaG: { low: 1, high: 3, unit: '' },
  finesShare: { low: 0, high: 0.9, unit: '' },
} satisfies Record<keyof Grind, Range>;

export const POUR_RANGES = {
  startS: { low: 0, high: 3600, unit: 's' },
  amountG: { low: 0, high: 5000, unit: 'g' },
  flowGps: { low: 0, high: 100, unit: 'g/s' },
  kettleC: BREW_RANGES.kettleC,
  fallM: { low: 0.005, high: 1, unit: 'm' },
} satisfies Record<string, Range>;

export const LOT_RANGES = {
  solubility: { low: 0, high: 3, unit: '' },
  rate: { low: 0, high: 1000, unit: '' },
  permeability: { low: 0.001, high: 1000, unit: '' },
  clogging: { low: 0, high: 100, unit: '' },
  retained: { low: 0.3, high: 2, unit: '' },
  co2MgPerG: { low: 0, high: 20, unit: 'mg/g' },
  ageDays: { low: 0, high: 3650, unit: 'days' },
} satisfies Record<string, Range>;

export const BREWER_RANGES = {
  bottomRadiusM: { low: 0.002, high: 0.2, unit: 'm' },
  wallSlope: { low: 0, high: 3, unit: '' },
  heightM: { low: 0.01, high: 1, unit: 'm' },
  outletAreaM2: { low: 1e-7, high: 0.1, unit: 'm²' },
  bottomShare: { low: 0.01, high: 1, unit: '' },
  drainShare: { low: 0, high: 1, unit: '' },
  openShare: { low: 0, high: 1, unit: '' },
  heatCapacityJPerK: { low: 1, high: 10_000, unit: 'J/K' },
  preheatC: { low: -10, high: 105, unit: '°C' },
} satisfies Record<string, Range>;

export const BALL_RANGES = {
  massG: { low: 1, high: 2000, unit: 'g' },
  heatJPerKgK: { low: 100, high: 5000, unit: 'J/(kg K)' },
  startC: { low: -40, high: 40, unit: '°C' },
  untilS: { low: 0, high: 3600, unit: 's' },
} satisfies Record<string, Range>;

/** Why a brew cannot be simulated. */
export type BrewInputFailure = OutOfRange | Failure<'no-water'> | Failure<'no-grind'>;

/** @returns the first thing that is wrong with a brew's input, or `null` */
export function brewInputFault(input: BrewModelInput): BrewInputFailure | null {
  const parts = 'parts' in input.grind ? input.grind.parts : [{ grind: input.grind, share: 1 }];
  const finesSieved = 'parts' in input.grind ? input.grind.finesSieved : undefined;
  const ranged =
    firstOutOfRange(input, BREW_RANGES) ??
    firstOf(parts, ({ grind, share }, index) =>
      underPath(
        'parts' in input.grind ? `grind.parts.${index}` : 'grind',
        firstOutOfRange(grind, GRIND_RANGES) ?? outOfRange('share', share, { low: 0, high: 1e6, unit: '' }),
      ),
    ) ??
    (finesSieved === undefined
      ? null
      : outOfRange('grind.finesSieved', finesSieved, { low: 0, high: 1, unit: '' })) ??
    firstOf(input.pours, (pour, index) => underPath(`pours.${index}`, firstOutOfRange(pour, POUR_RANGES))) ??
    firstOf(input.agitation, ({ atS }, index) =>
      outOfRange(`agitation.${index}.atS`, atS, BREW_RANGES.liftAtS),
    ) ??
    underPath('lot', firstOutOfRange(input.lot, LOT_RANGES)) ??
    underPath('brewer', firstOutOfRange(input.brewer, BREWER_RANGES)) ??
    (input.chilledBall ? underPath('chilledBall', firstOutOfRange(input.chilledBall, BALL_RANGES)) : null);
  if (ranged) return ranged;
  if (!parts.some(({ share }) => share > 0)) return failure('no-grind', 'A brew needs a grind.');
  if (!input.pours.some(isWater)) {
    return failure('no-water', 'A brew needs a pour with water.');
  }
  return null;
}

function firstOf<T>(
  list: readonly T[],
  check: (item: T, index: number) => OutOfRange | null,
): OutOfRange | null {
  for (const [index, item] of list.entries()) {
    const found = check(item, index);
    if (found) return found;
  }
  return null;
}

/** The same fault, told from the outside: `startS` of `pours.1` is `pours.1.startS`. */
function underPath(path: string, fault: OutOfRange | null): OutOfRange | null {
  if (!fault) return null;
  const field = `${path}.${fault.field}`;
  return { ...fault, field, message: `${field} is ${fault.value}; allowed: ${fault.allowed}.` };
}
