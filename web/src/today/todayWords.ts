import { recheckWords, WATCHED_WORDS, type DayFollow, type DueAction } from '@vendu/core';
import type { TodayBrew } from '@vendu/contract';
import { listed } from '../ui/listed';
import { launchWords } from '../lots/launchWords';

const ACTIONS: Partial<Record<DueAction, string>> = {
  'first-brew': 'first brew',
  'next-brew': 'next brew',
  'sign-off': 'brew to prove it',
  recheck: 'recheck',
};

export const FOLLOW_WORDS: Record<DayFollow, string> = {
  'taste-hot': 'taste it hot',
  read: 'read the sample',
  'taste-warm': 'taste it warm',
  'taste-cool': 'taste it cool',
};

/** Why a brew stands in the day. */
export function whyWords({ action, alarms, reasons, daysToLaunch }: TodayBrew): string {
  const off = alarms.map(({ figure }) => WATCHED_WORDS[figure]);
  return [
    ACTIONS[action] ?? '',
    ...(off.length > 0 ? [`went off in ${listed(off)}`] : []),
    ...reasons.map(recheckWords).map(inSentence),
    ...(daysToLaunch === null ? [] : [`launch ${launchWords(daysToLaunch)}`]),
  ]
    .filter(Boolean)
    .join('; ');
}

/** A sentence as a part of one. */
function inSentence(words: string): string {
  return words.charAt(0).toLowerCase() + words.slice(1).replace(/\.$/, '');
}
