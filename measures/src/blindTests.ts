import {
  assessorsNeeded,
  blindResult,
  foundByLooks,
  openAnswer,
  seededRandom,
  serveBlind,
  type BlindAnswer,
  type BlindMethod,
  type BlindSet,
  type OpenedAnswer,
} from '@vendu/core';
import { fixed, percentile, table, timesOf } from './report.js';

const SESSIONS = 2000;
const ALPHA = 0.05;
const SEED = 19;
const STAGES = ['hot', 'warm', 'cool'] as const;
const LOOKS_AT = [6, 12, 18];

/** What each kind is tried with: as many tasters as a lab has. */
const TRIED: readonly { method: BlindMethod; arms: number; tasters: number }[] = [
  { method: 'triangle', arms: 2, tasters: 12 },
  { method: 'duo-trio', arms: 2, tasters: 12 },
  { method: 'paired', arms: 2, tasters: 16 },
  { method: 'ranking', arms: 3, tasters: 8 },
  { method: 'ranking', arms: 4, tasters: 8 },
  { method: 'scores', arms: 2, tasters: 12 },
  { method: 'scores', arms: 3, tasters: 8 },
];

/** Somebody who tastes no difference. */
function guess(method: BlindMethod, set: BlindSet, random: () => number): BlindAnswer {
  const codes = set.filter(({ isReference }) => !isReference).map(({ code }) => code);
  if (method === 'ranking') {
    const drawn = codes.map((code) => ({ code, at: random() })).sort((a, b) => a.at - b.at);
    return { ranked: drawn.map(({ code }) => code) };
  }
  if (method === 'scores') {
    return { scores: Object.fromEntries(codes.map((code) => [code, 1 + Math.floor(9 * random())])) };
  }
  return { chosen: codes[Math.floor(random() * codes.length)] ?? '' };
}

interface Session {
  method: BlindMethod;
  arms: number;
  tasters: number;
}

function sessionOf(
  { method, arms, tasters }: Session,
  stages: readonly (typeof STAGES)[number][],
  random: () => number,
) {
  const sets = serveBlind({ method, arms, tasters, random });
  return stages.map((stage) => ({
    stage,
    opened: sets.map((set): OpenedAnswer => openAnswer(method, set, guess(method, set, random))),
  }));
}

/** How often some sessions of tasters who only guess raise an alarm, in percent. */
function alarmsPercent(hasAlarm: () => boolean): string {
  const alarms = Array.from({ length: SESSIONS }, hasAlarm).filter(Boolean).length;
  return fixed((100 * alarms) / SESSIONS, 1);
}

/** Blind tests of nothing: how often they find something, and how long the plan of a test takes to work out. */
export function blindTests(): string {
  const random = seededRandom(SEED);
  const rows = TRIED.map((session) => {
    const { method, arms } = session;
    const found = (stages: readonly (typeof STAGES)[number][]) =>
      alarmsPercent(() =>
        blindResult({ method, arms, alpha: ALPHA, answers: sessionOf(session, stages, random) }).some(
          ({ isFound }) => isFound,
        ),
      );
    const looked =
      method === 'ranking' || method === 'scores'
        ? '–'
        : alarmsPercent(() => {
            const opened = sessionOf({ ...session, tasters: 24 }, ['hot'], random)[0]?.opened ?? [];
            return foundByLooks(method, ALPHA, opened, { planned: 24, looksAt: LOOKS_AT }) ?? false;
          });
    return [`${method} of ${arms}`, session.tasters, found(['hot']), found(STAGES), looked];
  });
  const times = timesOf(
    () => assessorsNeeded({ method: 'paired', alpha: ALPHA / 3, noticing: 0.4, power: 0.9 }),
    { warmUps: 3, runs: 20 },
  );
  return [
    `## Blind tests\n\n${SESSIONS} sessions of each kind in which nobody tastes a difference; false alarms in percent, where ${
      100 * ALPHA
    } are allowed. Exact tests of few answers stay below.\n`,
    table(
      [
        '',
        'tasters',
        'one stage',
        'any of three stages',
        `24 tasters, looked at after ${LOOKS_AT.join(', ')}`,
      ],
      rows,
    ),
    `\nHow many tasters it takes is worked out in ${fixed(percentile(times, 0.5), 0)} ms (median of ${times.length}).`,
  ].join('\n');
}
