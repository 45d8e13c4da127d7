import { mean } from 'simple-statistics';
import { figureOf, type WatchedBrew } from './watchedBrew.js';
import type { WatchChart } from './watchChart.js';

/** How brews of an older roast came out against what was proven. */
export interface Ageing {
  /** Days from roast of the youngest of them. */
  fromDay: number;
  brews: number;
  /** Of strength, percent TDS; below 0 weaker. */
  byPercent: number;
  /** Standard deviation of that difference. */
  sdPercent: number;
  /** Whether it is more than brews differ by themselves: 2 standard deviations, which chance passes in 5 of 100. */
  isTold: boolean;
}

const TOLD_AT_SD = 2;
/** One older brew is one brew. */
const FEWEST = 2;

/**
 * Brews of a roast older than any of the proof, on a grinder and water of the proof, so that age is what differs.
 *
 * @param chart - of strength: what one brew spreads by
 * @returns `null` where there are fewer than two of them, or nothing was proven
 *
 * Source: difference of two means with a known deviation, NIST/SEMATECH e-Handbook 7.3.1.
 */
export function ageing({
  proof,
  rechecks,
  chart,
}: {
  proof: readonly WatchedBrew[];
  rechecks: readonly WatchedBrew[];
  chart: Pick<WatchChart, 'sd'>;
}): Ageing | null {
  const strengths = (brews: readonly WatchedBrew[]) =>
    brews.flatMap((brew) => figureOf(brew, 'strength') ?? []);
  const proven = strengths(proof);
  if (proven.length === 0) return null;
  const provenToDays = Math.max(...proof.map(({ roastAgeDays }) => roastAgeDays));
  const older = rechecks.filter(
    (brew) =>
      brew.roastAgeDays > provenToDays &&
      figureOf(brew, 'strength') !== null &&
      proof.some(({ grinder, water }) => grinder === brew.grinder && water === brew.water),
  );
  if (older.length < FEWEST) return null;
  const byPercent = mean(strengths(older)) - mean(proven);
  const sdPercent = chart.sd * Math.sqrt(1 / older.length + 1 / proven.length);
  return {
    fromDay: Math.min(...older.map(({ roastAgeDays }) => roastAgeDays)),
    brews: older.length,
    byPercent,
    sdPercent,
    isTold: Math.abs(byPercent) > TOLD_AT_SD * sdPercent,
  };
}

/** What older bags did so far, in a sentence. */
export function ageingWords(ageing: Ageing | null): string {
  if (ageing === null) {
    return 'No two brews of an older roast than was proven yet: how it ages is not known.';
  }
  const { fromDay, brews, byPercent, sdPercent, isTold } = ageing;
  const off = `${Math.abs(byPercent).toFixed(2)} ± ${sdPercent.toFixed(2)} % ${byPercent < 0 ? 'weaker' : 'stronger'}`;
  return isTold
    ? `From day ${fromDay} on, ${brews} brews came out ${off} than proven.`
    : `From day ${fromDay} on, ${brews} brews came out as proven (${off}).`;
}

/** What a card can say of it, where there is something to say. */
export function ageingAdvice(ageing: Ageing | null): string {
  if (!ageing?.isTold) return '';
  return ageing.byPercent < 0 ? 'grind a little finer' : 'grind a little coarser';
}
