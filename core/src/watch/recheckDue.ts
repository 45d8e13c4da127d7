import type { WatchedBrew } from './watchedBrew.js';
import type { WatchLimits } from './watchLimits.js';

/** What a recipe is brewed with and from now. */
export interface WatchedNow {
  /** Calendar date. */
  today: string;
  publishedOn: string;
  /** Newest last; samples are none. */
  batches: readonly { id: number; roastedOn: string }[];
  grinder: string;
  brewer: string;
  paper: string;
  water: string | null;
}

/** Why a public recipe is to be brewed again. */
export type RecheckReason =
  | { kind: 'time'; sinceDays: number }
  | { kind: 'new-batch'; roastBatchId: number; roastedOn: string }
  | { kind: 'older'; ageDays: number; oldestDays: number }
  | { kind: 'kit'; what: 'grinder' | 'brewer' | 'paper' | 'water'; from: string; to: string };

export interface RecheckDue {
  reasons: RecheckReason[];
  /** When time alone or the age of the roast asks for it, calendar date. */
  dueOn: string;
}

const DAY_MS = 86_400_000;
const daysBetween = (from: string, to: string) => Math.round((Date.parse(to) - Date.parse(from)) / DAY_MS);
const daysAfter = (day: string, days: number) =>
  new Date(Date.parse(day) + days * DAY_MS).toISOString().slice(0, 10);
const dayOf = (moment: string) => moment.slice(0, 10);

/**
 * Whether a public recipe is to be brewed again, and why: after so long, with a batch that it was never brewed with, with
 * a roast older than any it was brewed with, and with other kit than it was last brewed with.
 *
 * @param brews - of the public version that count, proof and rechecks, in the order brewed
 */
export function recheckDue({
  brews,
  now,
  limits,
}: {
  brews: readonly WatchedBrew[];
  now: WatchedNow;
  limits: WatchLimits;
}): RecheckDue {
  const last = brews.at(-1);
  // A recipe that was published without a brew of its own is due from its first day.
  const lastOn = last ? dayOf(last.startedAt) : now.publishedOn;
  const sinceDays = daysBetween(lastOn, now.today);
  const batch = now.batches.at(-1);
  const oldestDays = Math.max(0, ...brews.map(({ roastAgeDays }) => roastAgeDays));
  const ageDays = batch ? daysBetween(batch.roastedOn, now.today) : 0;
  const isNew = batch !== undefined && !brews.some(({ roastBatchId }) => roastBatchId === batch.id);
  const byTimeOn = daysAfter(lastOn, last ? limits.everyDays : 0);
  const byAgeOn = batch && !isNew ? daysAfter(batch.roastedOn, oldestDays + limits.olderByDays) : byTimeOn;
  return {
    dueOn: byAgeOn < byTimeOn ? byAgeOn : byTimeOn,
    reasons: [
      ...(byTimeOn <= now.today ? [{ kind: 'time' as const, sinceDays }] : []),
      ...(isNew && brews.length > 0
        ? [{ kind: 'new-batch' as const, roastBatchId: batch.id, roastedOn: batch.roastedOn }]
        : []),
      ...(batch && !isNew && byAgeOn <= now.today ? [{ kind: 'older' as const, ageDays, oldestDays }] : []),
      ...(last ? kitChanges(last, now) : []),
    ],
  };
}

/** A water that nobody named before or now tells nothing. */
function kitChanges(last: WatchedBrew, now: WatchedNow): RecheckReason[] {
  return (['grinder', 'brewer', 'paper', 'water'] as const).flatMap((what): RecheckReason[] => {
    const [from, to] = [last[what], now[what]];
    return from === null || to === null || from === to ? [] : [{ kind: 'kit', what, from, to }];
  });
}
