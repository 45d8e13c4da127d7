import { quantile } from 'simple-statistics';

/** What a finished lot took from its first brew to its publication. */
export interface LaunchHistory {
  brews: number;
  days: number;
}

/** Whether a lot will be ready for its launch, by what lots here usually take. */
export interface LaunchOutlook {
  /** Four of five lots were ready within these. */
  usualBrews: number;
  usualDays: number;
  finishedLots: number;
  brewsToGo: number;
  daysToGo: number;
  /** `null` where its stock was never weighed. */
  gramsShort: number | null;
  isInDanger: boolean;
}

/** Until a house has finished so many lots itself, assumed figures stand in. */
const FEWEST_LOTS = 4;
/** Assumed: six brews over five days, the three of a proof among them. */
const ASSUMED: LaunchHistory = { brews: 6, days: 5 };
/** A plan that fails one time in five is one to begin early for (assumed). */
const SHARE = 0.8;

/**
 * What is still to do until a launch, beside the time and the coffee that are left.
 *
 * @param daysToLaunch - below 0 when it is past
 * @param daysBrewed - since its first brew, 0 before it
 * @param gramsLeft - `null` where nobody weighed its stock
 * @param doseG - of the brews to come
 */
export function launchOutlook({
  finished,
  daysToLaunch,
  brewsDone,
  daysBrewed,
  gramsLeft,
  doseG,
}: {
  finished: readonly LaunchHistory[];
  daysToLaunch: number;
  brewsDone: number;
  daysBrewed: number;
  gramsLeft: number | null;
  doseG: number;
}): LaunchOutlook {
  const known = finished.length >= FEWEST_LOTS ? finished : [ASSUMED];
  const usual = (figure: keyof LaunchHistory) =>
    Math.ceil(
      quantile(
        known.map((lot) => lot[figure]),
        SHARE,
      ),
    );
  const [usualBrews, usualDays] = [usual('brews'), usual('days')];
  // Whatever went before, a lot that is not out needs one brew and one day more at least.
  const brewsToGo = Math.max(1, usualBrews - brewsDone);
  const daysToGo = Math.max(1, usualDays - daysBrewed);
  const gramsShort = gramsLeft === null ? null : Math.max(0, Math.ceil(brewsToGo * doseG - gramsLeft));
  return {
    usualBrews,
    usualDays,
    finishedLots: finished.length >= FEWEST_LOTS ? finished.length : 0,
    brewsToGo,
    daysToGo,
    gramsShort,
    isInDanger: daysToGo > daysToLaunch || (gramsShort ?? 0) > 0,
  };
}

/** What is to do, and what stands against it, in a sentence. */
export function outlookWords({
  finishedLots,
  usualBrews,
  usualDays,
  brewsToGo,
  daysToGo,
  gramsShort,
}: LaunchOutlook): string {
  const usual =
    finishedLots === 0
      ? `A lot is taken to need ${usualBrews} brews over ${usualDays} days, with too few finished here to tell`
      : `Lots here need up to ${usualBrews} brews over ${usualDays} days (${finishedLots} finished)`;
  const short = gramsShort !== null && gramsShort > 0 ? `, and it is ${gramsShort} g short` : '';
  return `${usual}: about ${brewsToGo} ${brewsToGo === 1 ? 'brew' : 'brews'} and ${daysToGo} ${daysToGo === 1 ? 'day' : 'days'} to go${short}.`;
}
