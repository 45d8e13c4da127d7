/**
 * How far the model's course of a beverage wanders from the real one, per g of dose, where half of it has run through,
 * and what is left of that at its ends (computed: 0.4 and 0.9 on sixty synthetic lots of either truth).
 */
const COURSE = { midGPerG: 0.8, atEnds: 0.25 };
/**
 * A course that has run ahead of the model stays ahead for a while, s: eight points of a trace are not eight facts
 * (computed: a correlation of 0.75 to 0.95 over 25 s).
 */
const FORGOTTEN_S = 90;

/**
 * What drips from a bed that is getting wet tells nothing of how it will flow (computed, on sixty lots of two truths:
 * what the model misses of the bloom's drips and of the flow after them hang together by less than 0.2); the
 * flow is heard from so much on, g for each g of dose.
 */
export const FLOWS_FROM_G_PER_G = 1.2;

/** @param through - share of the beverage that has run through, 0 to 1 */
export function wanderSdG(doseG: number, through: number): number {
  const inside = Math.min(1, Math.max(0, through));
  return COURSE.midGPerG * doseG * (COURSE.atEnds + (1 - COURSE.atEnds) * 4 * inside * (1 - inside));
}

/** What two moments of one course share of their wandering, 0 to 1. */
export function wandersTogether(atS: number, otherS: number): number {
  return Math.exp(-Math.abs(atS - otherS) / FORGOTTEN_S);
}
