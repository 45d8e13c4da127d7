import { failure, success, type Failure, type Result } from '../result.js';
import { byTheClock, planWaterG, pourEndS, roundToTenth, runningTotalsG, type Pour } from './plan.js';

export type EditReason =
  'amount-not-positive' | 'next-pour-used-up' | 'water-below-bloom' | 'last-pour' | 'pour-too-small';
type Edited = Result<Pour[], Failure<EditReason>>;

/** Pause left between one pour's end and the next one's start when a pour is added, s. */
const ADDED_POUR_GAP_S = 20;

/** Below this a pour is not split, g: half of it could not be poured by hand. */
const SMALLEST_SPLIT_G = 10;

/**
 * Sets what one pour adds. The next pour gives or takes the difference, so the plan's water stays; for
 * the last pour the water itself changes.
 *
 * @param index - of a pour in `pours`
 */
export function setPourAmount({
  pours,
  index,
  amountG,
}: {
  pours: readonly Pour[];
  index: number;
  amountG: number;
}): Edited {
  if (!(roundToTenth(amountG) > 0))
    return failure('amount-not-positive', 'A pour needs more than 0 g; remove the pour instead.');
  const pour = pourAt(pours, index);
  const next = pours[index + 1];
  const edited = pours.map((each) => ({ ...each }));
  edited[index] = { ...pour, amountG: roundToTenth(amountG) };
  if (next === undefined) return success(edited);
  const leftG = roundToTenth(next.amountG - (amountG - pour.amountG));
  if (!(leftG > 0)) {
    return failure(
      'next-pour-used-up',
      `That leaves nothing for pour ${index + 2}; stay below ${roundToTenth(pour.amountG + next.amountG)} g or remove pour ${index + 2}.`,
    );
  }
  edited[index + 1] = { ...next, amountG: leftG };
  return success(edited);
}

/** Sets what the scale should show when one pour is in; otherwise as {@link setPourAmount}. */
export function setRunningTotal({
  pours,
  index,
  totalG,
}: {
  pours: readonly Pour[];
  index: number;
  totalG: number;
}): Edited {
  const beforeG = runningTotalsG({ pours })[index - 1] ?? 0;
  if (!(totalG > beforeG)) {
    return failure(
      'amount-not-positive',
      `The running total must be above ${beforeG} g, the total before this pour.`,
    );
  }
  return setPourAmount({ pours, index, amountG: totalG - beforeG });
}

/**
 * Sets the plan's water. The bloom stays, the other pours share the rest in their old proportion, whole
 * grams each, the last one taking up the rounding.
 */
export function setWater({ pours, waterG }: { pours: readonly Pour[]; waterG: number }): Edited {
  const bloomG = pours[0]?.isBloom && pours.length > 1 ? pours[0].amountG : 0;
  const oldRestG = planWaterG({ pours }) - bloomG;
  const newRestG = waterG - bloomG;
  if (!(newRestG > 0)) {
    return failure('water-below-bloom', `Water must be above the ${bloomG} g of the bloom.`);
  }
  let givenG = 0;
  return success(
    pours.map((pour, index) => {
      if (index === 0 && bloomG > 0) return { ...pour };
      const isLast = index === pours.length - 1;
      const amountG = isLast
        ? roundToTenth(newRestG - givenG)
        : Math.round((pour.amountG / oldRestG) * newRestG);
      givenG += amountG;
      return { ...pour, amountG };
    }),
  );
}

/** Splits the last pour in two halves, the new one a pause later. The water stays. */
export function addPour(pours: readonly Pour[]): Edited {
  const last = pourAt(pours, pours.length - 1);
  if (last.amountG < SMALLEST_SPLIT_G) {
    return failure(
      'pour-too-small',
      `The last pour has ${last.amountG} g; it needs ${SMALLEST_SPLIT_G} g or more to be split.`,
    );
  }
  const shortened = { ...last, amountG: Math.round(last.amountG / 2) };
  const added: Pour = {
    ...byTheClock(last),
    isBloom: false,
    amountG: roundToTenth(last.amountG - shortened.amountG),
    startS: Math.ceil((pourEndS(shortened) + ADDED_POUR_GAP_S) / 5) * 5,
  };
  return success([...pours.slice(0, -1), shortened, added]);
}

/** Takes a pour out; its water goes to the next pour, or to the one before when it was the last. */
export function removePour({ pours, index }: { pours: readonly Pour[]; index: number }): Edited {
  const removed = pourAt(pours, index);
  const heirIndex = index === pours.length - 1 ? index - 1 : index + 1;
  const heir = pours[heirIndex];
  if (heir === undefined) return failure('last-pour', 'A plan needs at least one pour.');
  const startS = index === 0 ? removed.startS : heir.startS;
  return success(
    pours
      .map((pour, at) =>
        at === heirIndex
          ? {
              ...(index === 0 ? byTheClock(pour) : pour),
              startS,
              amountG: roundToTenth(pour.amountG + removed.amountG),
            }
          : { ...pour },
      )
      .filter((_, at) => at !== index),
  );
}

function pourAt(pours: readonly Pour[], index: number): Pour {
  const pour = pours[index];
  if (pour === undefined) throw new RangeError(`no pour ${index} among ${pours.length}`);
  return pour;
}
