import type { BrewResult } from '@vendu/core';

/** Strength with the precision of the instrument: `1.31 ± 0.03`. */
export function strengthWords({ strength }: BrewResult): string {
  return `${strength.meanPercent.toFixed(2)} ± ${strength.uncertaintyPercent.toFixed(2)}`;
}

/** Yield with its uncertainty, or with its band where the beverage was assumed. */
export function yieldWords({ yield: measured }: BrewResult): string {
  return measured.basis === 'weighed'
    ? `${measured.yieldPercent.toFixed(1)} ± ${measured.uncertaintyPoints.toFixed(1)}`
    : `${measured.lowPercent.toFixed(1)}–${measured.highPercent.toFixed(1)}`;
}
