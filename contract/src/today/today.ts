import type { DayFollow, DueAction, LaunchOutlook, RecheckReason, TastingStage } from '@vendu/core';
import type { HoursDto } from '../people/people.js';
import type { WatchAlarm } from '../watch/watch.js';

/** A brew that the day asks for. */
export interface TodayBrew {
  /** Of a recipe, or of a lot that has none yet. */
  id: string;
  lotId: number;
  lotName: string;
  /** Without a recipe it begins with one. */
  recipe: { id: number; versionId: number; versionNumber: number; brewerName: string } | null;
  action: DueAction;
  isPressing: boolean;
  daysToLaunch: number | null;
  /** Of a recheck. */
  reasons: RecheckReason[];
  alarms: WatchAlarm[];
  /** From the empty brewer to the weighed beverage, min. */
  brewMin: number;
  stages: TastingStage[];
  /** Caffeine of one stage, mg. */
  sipMg: number;
  doseG: number;
  /** `null` where its stock was never weighed. */
  gramsLeftG: number | null;
}

/** A brew of today that is not read or tasted to its end. */
export interface TodayAfter {
  brewId: number;
  number: number;
  lotName: string;
  drainedAt: string;
  left: DayFollow[];
  sipMg: number;
}

/** A launch that lies ahead. */
export interface TodayLaunch {
  lotId: number;
  lotName: string;
  launchOn: string;
  daysToLaunch: number;
  outlook: LaunchOutlook;
}

/** Somebody who could be in. */
export interface TodayPerson {
  id: number;
  name: string;
  /** Swallowed in the last 24 hours, mg. */
  caffeineMg: number;
  /** When he or she is usually in; `null` without fixed hours. */
  hours: HoursDto | null;
}

/** What the day asks for. */
export interface TodayView {
  /** What presses first; no more than a day may hold. */
  brews: TodayBrew[];
  /** Lots that ask for a brew beyond those. */
  moreBrews: number;
  afters: TodayAfter[];
  people: TodayPerson[];
  kettles: number;
  roomC: number;
  launches: TodayLaunch[];
  zeroChecks: { instrument: string; lastAt: string | null; everyDays: number }[];
  /** Lots that wait for a lead: to be signed off, or published. */
  signatures: { lotId: number; lotName: string; action: DueAction }[];
}
