import { roundToTenth } from '../plan/plan.js';
import { normalDraw, seededRandom } from '../random/seededRandom.js';
import type { Hand } from './hands.js';
import type { ScaleReading } from './instrumentLine.js';

export interface ScaleFaults {
  /** Standard deviation of a reading, g (assumed: that of a bench scale on a quiet bench). */
  noiseG: number;
  /** Creep, g a minute. */
  driftGPerMin: number;
  /** Knocks on the bench: how many a minute, each of a few grams for one reading. */
  knocksPerMin: number;
  /** How often it is not heard for a while. */
  dropOutsPerMin: number;
  /** Charge at the start and what a minute costs, %. At nothing it falls silent. */
  batteryPercent: number;
  batteryPerMin: number;
}

const QUIET: ScaleFaults = {
  noiseG: 0.05,
  driftGPerMin: 0.05,
  knocksPerMin: 0,
  dropOutsPerMin: 0,
  batteryPercent: 90,
  batteryPerMin: 0.1,
};
/** Benches to try: a quiet one, a knocked one with a scale that drops out, one whose battery gives out in a minute. */
export const SCALE_BENCHES = {
  quiet: QUIET,
  rough: { ...QUIET, noiseG: 0.15, driftGPerMin: 0.4, knocksPerMin: 10, dropOutsPerMin: 1 },
  dying: { ...QUIET, batteryPercent: 0.9, batteryPerMin: 1 },
} as const satisfies Record<string, ScaleFaults>;
export type ScaleBench = keyof typeof SCALE_BENCHES;
/** A knock, g (assumed). */
const KNOCK_G = 4;
/** Not heard for so long, s (assumed). */
const DROP_OUT_S = 3;
/** The flow sways about this often, s (assumed). */
const SWAY_PERIOD_S = 1.7;

interface Stream {
  startS: number;
  amountG: number;
  flowGps: number;
  sway: number;
}

/**
 * A bench scale under a brewer into which a hand pours: what it would show, reading by reading. It is a stand-in
 * to try the bench without hardware, and a source of known truth for tests: the same seed gives the same readings.
 */
export function simulatedScale({
  hand,
  faults = QUIET,
  seed,
}: {
  hand: Hand;
  faults?: ScaleFaults;
  seed: number;
}) {
  // Apart, so that how well a hand pours does not hang on how often its scale was read.
  const [ofHand, random] = [seededRandom(seed), seededRandom(seed + 1)];
  const streams: Stream[] = [];
  let zeroG = 0;
  let silentUntilS = 0;
  const pouredG = (atS: number) => streams.reduce((sum, stream) => sum + pouredOf(stream, atS), 0);
  const batteryAt = (atS: number) => Math.max(0, faults.batteryPercent - (atS / 60) * faults.batteryPerMin);
  return {
    /** Somebody begins to pour to a running total, as far as this hand hits it. */
    pour({ atS, toTotalG, flowGps }: { atS: number; toTotalG: number; flowGps: number }): void {
      const begunG = streams.reduce((sum, { amountG }) => sum + amountG, 0);
      const wantedG = toTotalG - begunG + normalDraw(ofHand, { mean: hand.overG, sd: hand.overSdG });
      if (wantedG <= 0) return;
      streams.push({
        startS: atS + hand.delayS,
        amountG: wantedG,
        flowGps: flowGps * hand.flowShare,
        sway: hand.sway,
      });
    },
    tare(atS: number): void {
      zeroG = pouredG(atS);
    },
    /** What the hand has really poured by then, g, whatever the scale shows. */
    pouredG,
    /** @returns what it shows, `null` while it is not heard and once its battery is empty */
    read(atS: number): ScaleReading | null {
      const batteryPercent = batteryAt(atS);
      if (batteryPercent === 0 || atS < silentUntilS) return null;
      if (faults.dropOutsPerMin > 0 && random() < faults.dropOutsPerMin / 600) {
        silentUntilS = atS + DROP_OUT_S;
        return null;
      }
      const isKnocked = random() < faults.knocksPerMin / 600;
      const massG =
        pouredG(atS) -
        zeroG +
        (atS / 60) * faults.driftGPerMin +
        normalDraw(random, { mean: isKnocked ? KNOCK_G : 0, sd: faults.noiseG });
      return {
        // Shown in steps of 0.1 g; adding nothing turns -0 into 0.
        massG: roundToTenth(massG) + 0,
        batteryPercent: Math.round(batteryPercent),
      };
    },
  };
}

/** A flow that sways around its mean and ends at its amount. */
function pouredOf({ startS, amountG, flowGps, sway }: Stream, atS: number): number {
  const pouringS = atS - startS;
  if (pouringS <= 0) return 0;
  const phase = (2 * Math.PI * pouringS) / SWAY_PERIOD_S;
  const swayedG = (sway * flowGps * SWAY_PERIOD_S * (1 - Math.cos(phase))) / (2 * Math.PI);
  return Math.min(amountG, flowGps * pouringS + swayedG);
}
