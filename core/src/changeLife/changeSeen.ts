import { mean } from 'simple-statistics';
import { markedDrainS } from '../bench/planAgainstActual.js';
import { findingsOf, TASTED_FINDINGS, type Tasted } from '../change/findingsOf.js';
import type { Finding } from '../change/findings.js';
import { OUTCOMES, type Measured, type OutcomeOf } from '../forecast/outcome.js';
import { NINE_OF_TEN } from '../statistics/nineOfTen.js';
import { asWord } from '../text/asWord.js';
import { saidIn } from '../text/saidIn.js';
import type { Intensity } from '../vocabulary.js';
import type { Expectation, Hope } from './expectation.js';
import { leversMoved, type LeverMoved } from './leversMoved.js';

/** A brew as far as a change is judged by it. */
export interface BrewSeen extends Omit<Parameters<typeof findingsOf>[0], 'tastings'> {
  measured: Measured;
  /** Standard uncertainty of its strength against another cup read on the same instrument, % TDS. */
  comparablePercent: number | null;
  tastings: readonly Tasted[];
}

/** One figure of a change: what it was to do, what it did. */
export interface FigureSeen {
  expectedBy: number;
  didBy: number;
  /** The brew lies within what forecast and instrument leave open nine times of ten. */
  asExpected: boolean;
  /** The two brews differ by more than their uncertainties: else nothing can be said of what was done. */
  toldApart: boolean;
}

/** `not-told` where nobody tasted or looked so that it could be told. */
export type HopeSeen = 'came' | 'missed' | 'not-told';

/** A change after its brew. */
export interface ChangeSeen {
  figures: Partial<Record<OutcomeOf, FigureSeen>>;
  /** In the order of the expectation's hopes. */
  hopes: HopeSeen[];
  /** What was moved between the two brews; more than one, and it is open which of them did it. */
  moved: LeverMoved[];
}

/** Two brews differ beyond their uncertainties where they differ by more than this many of them (95 %, two-sided normal). */
const TOLD_APART = 1.96;
/** The smallest step on a sheet of 0 to 10 that one taster means (assumed). */
const TASTED_STEP = 1;

/** Lays what a change was to do beside what came. */
export function changeSeen({
  expectation: { figures, hopes },
  before,
  after,
}: {
  expectation: Expectation;
  /** The brew that the change was made from. */
  before: BrewSeen;
  /** The first brew of the changed plan. */
  after: BrewSeen;
}): ChangeSeen {
  const seen: ChangeSeen['figures'] = {};
  for (const outcome of OUTCOMES) {
    const [was, is, expected] = [before.measured[outcome], after.measured[outcome], figures?.[outcome]];
    if (!was || !is || !expected) continue;
    const didBy = is.value - was.value;
    seen[outcome] = {
      expectedBy: expected.to - expected.from,
      didBy,
      asExpected: Math.abs(is.value - expected.to) <= NINE_OF_TEN * Math.hypot(expected.sd, is.sd),
      toldApart: Math.abs(didBy) > TOLD_APART * betweenBrews(outcome, before, after),
    };
  }
  return {
    figures: seen,
    hopes: hopes.map((hope) => hopeSeen(hope, before, after)),
    moved: leversMoved({ from: before.plan, to: after.plan }),
  };
}

/** Standard uncertainty of the difference of two brews: the instrument's own error is in both strengths, and leaves it. */
function betweenBrews(outcome: OutcomeOf, before: BrewSeen, after: BrewSeen): number {
  const of = (brew: BrewSeen) =>
    outcome === 'tdsPercent' && brew.comparablePercent !== null
      ? brew.comparablePercent
      : (brew.measured[outcome]?.sd ?? 0);
  return Math.hypot(of(before), of(after));
}

function hopeSeen(hope: Hope, before: BrewSeen, after: BrewSeen): HopeSeen {
  switch (hope.kind) {
    case 'gone':
      if (!isLookedFor(hope.finding, after)) return 'not-told';
      return came(!findingsOf(after).some(({ finding }) => finding === hope.finding));
    case 'brings':
      if (after.tastings.length === 0) return 'not-told';
      return came(after.tastings.some(({ notes }) => saidIn(notes, asWord(hope.word)) !== null));
    case 'more':
    case 'less': {
      const by = shiftBy(hope.attribute, before.tastings, after.tastings);
      if (by === null) return 'not-told';
      return came(hope.kind === 'more' ? by >= TASTED_STEP : by <= -TASTED_STEP);
    }
  }
}

const came = (isSo: boolean): HopeSeen => (isSo ? 'came' : 'missed');

/** Whether somebody tasted, watched or marked what would show a finding: what nobody looked for is not gone. */
function isLookedFor(finding: Finding, { tastings, verdict, events, ...brew }: BrewSeen): boolean {
  if (TASTED_FINDINGS.includes(finding)) return tastings.length > 0 || verdict !== null;
  if (finding === 'bed-dry' || finding === 'level-high') {
    return events.some(({ kind }) => kind === 'bed-shows' || kind === 'water-stands');
  }
  return finding !== 'bed-cratered' && !brew.plan.lifts && markedDrainS(brew) !== null;
}

/** By how much the same tasters at the same stage scored otherwise: sheets of two people differ by themselves. */
function shiftBy(attribute: Intensity, before: readonly Tasted[], after: readonly Tasted[]): number | null {
  const shifts = after.flatMap(({ by, stage, intensities }) => {
    const was = before.find((sheet) => sheet.by === by && sheet.stage === stage)?.intensities[attribute];
    const is = intensities[attribute];
    return was == null || is === null ? [] : [is - was];
  });
  return shifts.length === 0 ? null : mean(shifts);
}
