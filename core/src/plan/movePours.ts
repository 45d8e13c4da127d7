import { failure, success, type Failure, type Result } from '../result.js';
import { withAgitation } from './agitating.js';
import { setRunningTotal, type EditReason } from './editPours.js';
import { byTheClock, pourEndS, roundToTenth, type BrewPlan, type Pour } from './plan.js';

/** Flow that a hand and a kettle can hold, g/s (the trade's 10 g in a second, with room on both sides). */
const FLOW_GPS = { low: 1, high: 25 };
/** A part of a split pour keeps at least this, g. */
const SMALLEST_PART_G = 5;
const SPLIT_PAUSE_S = 10;

/**
 * Moves a pour on the clock. It stops where the pour before it ends, where its own end would meet the next
 * pour, and before the drain; the first pour stays at 0:00, where it starts the clock.
 */
export function movePourStart({
  plan,
  index,
  startS,
}: {
  plan: BrewPlan;
  index: number;
  startS: number;
}): BrewPlan {
  const pour = pourAt(plan.pours, index);
  const before = plan.pours[index - 1];
  if (before === undefined) return plan;
  const lengthS = pourEndS(pour) - pour.startS;
  const earliestS = Math.max(Math.ceil(pourEndS(before) - 1e-9), before.startS + 1);
  const next = plan.pours[index + 1];
  const latestS = Math.floor((next?.startS ?? plan.drawdownS - 1) - lengthS + 1e-9);
  const to = Math.round(Math.min(Math.max(startS, earliestS), Math.max(earliestS, latestS)));
  return withPour(plan, index, { ...pour, startS: to });
}

/**
 * Moves a pour's end: what the scale should show then, and when. The next pour gives or takes the water; the
 * flow follows from amount and time, and stays within what a hand can pour.
 *
 * @param totalG - running total at the end; the old one if left out
 * @param endS - time of the end; at the old flow if left out
 */
export function movePourEnd({
  plan,
  index,
  totalG,
  endS,
}: {
  plan: BrewPlan;
  index: number;
  totalG?: number;
  endS?: number;
}): Result<BrewPlan, Failure<EditReason>> {
  let moved = plan;
  if (totalG !== undefined) {
    const edited = setRunningTotal({ pours: plan.pours, index, totalG });
    if (!edited.ok) return edited;
    moved = { ...plan, pours: edited.value };
  }
  const pour = pourAt(moved.pours, index);
  const latestS = moved.pours[index + 1]?.startS ?? moved.drawdownS - 1;
  const wantedS = Math.min(endS ?? pourEndS(pour), latestS);
  const flowGps = pour.amountG / Math.max(0.1, wantedS - pour.startS);
  // Rounded up, so that the pour is in by then.
  const held = Math.min(FLOW_GPS.high, Math.max(FLOW_GPS.low, Math.ceil(flowGps * 10 - 1e-6) / 10));
  return success(
    endS === undefined && held <= pour.flowGps ? moved : withPour(moved, index, { ...pour, flowGps: held }),
  );
}

/** Moves the end of the brew; never before the last pour is in. */
export function moveDrawdown({ plan, drawdownS }: { plan: BrewPlan; drawdownS: number }): BrewPlan {
  const earliestS = Math.floor(Math.max(...plan.pours.map(pourEndS))) + 1;
  return { ...plan, drawdownS: Math.max(earliestS, Math.round(drawdownS)) };
}

export type PartReason = 'pour-too-small' | 'no-room' | 'last-pour';

/** Splits a pour in two halves, the second a pause later where the clock leaves room. The water stays. */
export function splitPour({
  plan,
  index,
}: {
  plan: BrewPlan;
  index: number;
}): Result<BrewPlan, Failure<PartReason>> {
  const pour = pourAt(plan.pours, index);
  if (pour.amountG < 2 * SMALLEST_PART_G) {
    return failure(
      'pour-too-small',
      `Pour ${index + 1} has ${pour.amountG} g; it needs ${2 * SMALLEST_PART_G} g or more to be split.`,
    );
  }
  const first: Pour = { ...withAgitation(pour, 'none'), amountG: Math.round(pour.amountG / 2) };
  const rest = { ...byTheClock(pour), isBloom: false, amountG: roundToTenth(pour.amountG - first.amountG) };
  const restLengthS = rest.amountG / rest.flowGps;
  const latestS = (plan.pours[index + 1]?.startS ?? plan.drawdownS - 1) - restLengthS;
  const earliestS = Math.ceil(pourEndS(first));
  const startS = Math.floor(Math.min(earliestS + SPLIT_PAUSE_S, latestS));
  if (startS < earliestS)
    return failure(
      'no-room',
      `There is no room for a pause in pour ${index + 1}; pour faster or move the next pour.`,
    );
  return success({
    ...plan,
    pours: [...plan.pours.slice(0, index), first, { ...rest, startS }, ...plan.pours.slice(index + 1)],
  });
}

/** Joins a pour with the one after it: poured in one go from its own start, at its own flow. The water stays. */
export function joinWithNext({
  plan,
  index,
}: {
  plan: BrewPlan;
  index: number;
}): Result<BrewPlan, Failure<PartReason>> {
  const pour = pourAt(plan.pours, index);
  const next = plan.pours[index + 1];
  if (next === undefined) return failure('last-pour', 'The last pour has none after it to join.');
  const amountG = roundToTenth(pour.amountG + next.amountG);
  const roomS = (plan.pours[index + 2]?.startS ?? plan.drawdownS - 1) - pour.startS;
  const flowGps = Math.max(pour.flowGps, Math.ceil((amountG / roomS) * 10) / 10);
  if (flowGps > FLOW_GPS.high) return failure('no-room', `${amountG} g do not go in before the next pour.`);
  const { agitationHow: _, ...plain } = pour;
  const { agitation, agitationHow } = next;
  const joined: Pour = {
    ...plain,
    amountG,
    flowGps,
    agitation,
    ...(agitationHow === undefined ? {} : { agitationHow }),
    isBloom: false,
  };
  return success({
    ...plan,
    pours: [...plan.pours.slice(0, index), joined, ...plan.pours.slice(index + 2)],
  });
}

function withPour(plan: BrewPlan, index: number, pour: Pour): BrewPlan {
  return { ...plan, pours: plan.pours.map((each, at) => (at === index ? pour : each)) };
}

function pourAt(pours: readonly Pour[], index: number): Pour {
  const pour = pours[index];
  if (pour === undefined) throw new RangeError(`no pour ${index} among ${pours.length}`);
  return pour;
}
