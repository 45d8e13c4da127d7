import { TARGETS, type Targets } from '../aim/aim.js';
import type { BrewInputFailure } from '../brewModel/checkBrew.js';
import { cupsOnAim } from '../aim/cupsOnAim.js';
import { calibrateLot, type LotCalibration } from '../calibration/calibrateLot.js';
import { conditionsOfPlan, type BrewKit } from '../calibration/conditions.js';
import { withMeasuredPaper } from '../calibration/drainTest.js';
import { conditionsFault, type MeasuredBrew } from '../calibration/evidence.js';
import { forecastBrew, type CalibratedForecast } from '../calibration/forecastBrew.js';
import { firstOutOfRange, outOfRange, type OutOfRange, type Range } from '../input/ranges.js';
import { brewAsItWaits } from '../forecast/asItWaits.js';
import type { BrewPlan } from '../plan/plan.js';
import { planFaults } from '../plan/planFaults.js';
import { failure, success, valueOf, type Failure, type Result } from '../result.js';
import { formatSigned } from '../quantity/signed.js';
import { USUAL_SCHOOLS, type Schools } from '../schools/schools.js';
import { boilingPointC } from '../water/boilingPoint.js';
import type { Finding } from './findings.js';
import { LEVERS, type Lever, type Limits } from './levers.js';
import { searcher, worth, type Candidate, type LeverMove } from './search.js';
import { situationOf, type LastBrew, type Situation } from './situation.js';
import { figureRulesFor, rulesFor, type ChangeRule, type Push } from './tasteRules.js';
import { adviceNotes, REPEAT_CHANCE } from './adviceNotes.js';
import { goes, judge, type Judgement } from './judgement.js';
import type { RuleRecord, TrackRecord } from './ruleRecord.js';
import { characterOf, describeMove } from './wording.js';

export interface ProposedChange {
  /** One lever, or two where one would cost a brew more; two at once do not tell which did it. */
  kind: 'one-variable' | 'two-variable';
  moves: LeverMove[];
  /** The moves in words. */
  title: string;
  plan: BrewPlan;
  expected: CalibratedForecast;
  /** Change from what the last plan is now expected to give. */
  effect: { tdsPercent: number; yieldPercent: number; drawdownS: number };
  /** Where the taste goes. */
  taste: string;
  /** Probability of coming out inside every window aimed at. */
  chance: number;
  /** Who speaks for it. */
  source: { kind: 'model' } | { kind: 'rule'; id: string };
  /** How the rule that asks for it has done in this house; `null` where none does, or nobody could tell yet. */
  record: TrackRecord | null;
  why: string;
  against: string[];
  /** The school that moved it up or down, if one did. */
  school: string | null;
}

export interface ChangeAdvice {
  situation: Situation;
  /** Nothing speaks for a change: what is known of the recipe puts most of its cups on aim. One cup by itself does not. */
  isThere: boolean;
  /**
   * The last plan, brewed again: what to expect, and how many such cups lie on aim; and how many will be known to,
   * once another brew has come out as expected (`null` where the recipe is not there).
   */
  asItIs: { expected: CalibratedForecast; chance: number; chanceIfRepeated: number | null };
  /** Best first. */
  changes: ProposedChange[];
  /** What to know before choosing: repeats, limits reached, causes left open. */
  notes: string[];
}

const TARGET_RANGES = {
  tdsPercent: { low: 0.3, high: 5, unit: '%' },
  yieldPercent: { low: 5, high: 30, unit: '%' },
  drawdownS: { low: 20, high: 1800, unit: 's' },
} satisfies Record<keyof Targets, Range>;
const LIMIT_RANGES = {
  finestUm: { low: 50, high: 3000, unit: 'µm' },
  coarsestUm: { low: 50, high: 5000, unit: 'µm' },
  coolestC: { low: 1, high: 100, unit: '°C' },
  hottestC: { low: 1, high: 105, unit: '°C' },
} satisfies Record<keyof Limits, Range>;

/** A change must be likelier than the plan as it is by this much to be worth one more brew (assumed). */
const WORTH_A_BREW = 0.1;
/** Two levers must be likelier by this much to be worth not knowing which of them did it (assumed). */
const SECOND_LEVER = 0.08;
/**
 * What to change next, best first: each lever alone at its best value, and two together where one would cost
 * a brew more. The calibrated model gives the size and what to expect; taste and sight say which way, and
 * where the obvious change is wrong; the house's schools break ties. Nothing is proposed that grinder, kettle,
 * brewer or altitude cannot do.
 *
 * @param plan - the recipe last brewed
 * @param last - what was measured of it; without it taste alone speaks, with usual steps
 * @param findings - what was tasted or seen that speaks against the aim
 * @param targets - the windows of the recipe's aim
 * @param ruleRecords - how rules have done in this house: one that missed counts for less
 */
export function proposeChange({
  plan,
  kit,
  calibration,
  targets,
  limits,
  last = null,
  findings = [],
  schools = USUAL_SCHOOLS,
  levers = LEVERS,
  ruleRecords = [],
  roastAgeDays,
}: {
  plan: BrewPlan;
  kit: BrewKit;
  calibration: LotCalibration;
  targets: Targets;
  limits: Limits;
  last?: LastBrew | null;
  findings?: readonly Finding[];
  schools?: Schools;
  levers?: readonly Lever[];
  ruleRecords?: readonly RuleRecord[];
  roastAgeDays?: number;
}): Result<ChangeAdvice, BrewInputFailure | Failure<'no-target' | 'plan-cannot-be-brewed'>> {
  const aged = roastAgeDays === undefined ? {} : { roastAgeDays };
  const fault =
    targetFault(targets) ??
    firstOutOfRange(limits, LIMIT_RANGES) ??
    conditionsFault(conditionsOfPlan({ plan, kit, ...aged }));
  if (fault) return fault;
  const [planFault] = planFaults({ plan });
  if (planFault) return failure('plan-cannot-be-brewed', planFault.message);
  if (TARGETS.every((figure) => targets[figure] === undefined))
    return failure('no-target', 'A change needs an aim: a strength, a yield or a drain time.');

  const boilingC = boilingPointC({ elevationM: kit.elevationM });
  const reach = { ...limits, hottestC: Math.min(limits.hottestC, boilingC) };
  const situation = situationOf(last, targets);
  const tasted = rulesFor(findings, situation, schools);
  const rules = [...tasted, ...figureRulesFor(situation)];
  const search = searcher({ plan, kit, calibration, targets, limits: reach, ...aged });
  const asItIs = search.current;
  const found = search.singles(levers);
  const singles = [...found, ...usualSteps(rules, found, search)];
  const bestSingle = singles.reduce((best, each) => Math.max(best, each.chance), asItIs.chance);
  const pairs = PAIRS.filter(
    // A pair cannot be likelier by enough than a single change that is nearly sure.
    (pair) => bestSingle < 1 - SECOND_LEVER && pair.every((lever) => levers.includes(lever)),
  )
    .map(([first, second]) => search.pair(first, second))
    .filter(({ moves, chance }) => moves.length === 2 && chance > bestSingle + SECOND_LEVER);

  const usable = [...singles, ...pairs].filter(({ forecast }) => forecast.drains && !forecast.overflows);
  const nearest = [asItIs, ...usable].reduce((best, each) => (each.distance < best.distance ? each : best));
  const likeliest = Math.max(...[asItIs, ...singles, ...pairs].map(({ chance }) => chance));
  const rank = ({ candidate, judged }: { candidate: Candidate; judged: Judgement }) =>
    judged.weight +
    (likeliest < HARDLY_ANY ? -BY_DISTANCE * Math.log1p(candidate.distance) : worth(candidate));
  const changes = usable
    .map((candidate) => ({ candidate, judged: judge(candidate, asItIs, rules, schools, ruleRecords) }))
    .filter(({ candidate, judged }) => judged.wanted || worth(candidate) > worth(asItIs))
    .filter(
      ({ candidate, judged }) =>
        judged.wanted || (!isOnlyTheModels(candidate, schools) && candidate.chance >= HOPELESS * bestSingle),
    )
    .sort((a, b) => rank(b) - rank(a))
    .map(({ candidate, judged }) => proposed(candidate, asItIs, judged));
  const isFaultless = tasted.every(({ isWanted = false }) => isWanted);
  const isThere =
    isFaultless &&
    asItIs.chance >= REPEAT_CHANCE &&
    !changes.some(({ chance }) => chance > asItIs.chance + WORTH_A_BREW);
  return success({
    situation,
    isThere,
    asItIs: {
      expected: asItIs.forecast,
      chance: asItIs.chance,
      chanceIfRepeated: isThere ? chanceIfRepeated({ asItIs, kit, calibration, targets, ...aged }) : null,
    },
    changes,
    notes: adviceNotes({
      situation,
      isThere,
      chance: asItIs.chance,
      rules: tasted,
      nearest,
      likeliest,
      targets,
      calibration,
      first: changes[0]?.plan ?? null,
      limits: reach,
      boilingC,
    }),
  });
}

function targetFault(targets: Targets): OutOfRange | null {
  for (const figure of TARGETS) {
    const window = targets[figure];
    if (window === undefined) continue;
    const range = TARGET_RANGES[figure];
    const fault =
      outOfRange(figure, window.low, range) ??
      outOfRange(figure, window.high, { ...range, low: Math.max(range.low, window.low) });
    if (fault) return fault;
  }
  return null;
}

/** Where no plan is likelier than this, chances do not tell one from another and the nearer one comes first (assumed). */
const HARDLY_ANY = 0.05;
/** A change that nobody asked for and that is so much less likely than the best single one is not worth reading (assumed). */
const HOPELESS = 0.1;
/** What coming e times nearer counts there, beside taste and schools (assumed). */
const BY_DISTANCE = 0.2;

/**
 * Of pours and agitation the model knows the direction and not the size: it does not move them on its own word, only where taste
 * or the house's first lever asks for it.
 */
const BADLY_MODELLED: readonly Lever[] = ['pours', 'agitation'];

function isOnlyTheModels({ moves }: Candidate, schools: Schools): boolean {
  return moves.some(({ lever }) => BADLY_MODELLED.includes(lever) && lever !== schools['first-lever']);
}

/** The chance once one more brew of the same plan has come out as expected. */
function chanceIfRepeated({
  asItIs: { plan, forecast },
  kit,
  calibration,
  targets,
  ...aged
}: {
  asItIs: Candidate;
  kit: BrewKit;
  calibration: LotCalibration;
  targets: Targets;
  roastAgeDays?: number;
}): number {
  const { brews, prior, papers, factors } = calibration;
  const brew = withMeasuredPaper(brewAsItWaits({ plan, kit, factors, ...aged }), papers);
  const repeat: MeasuredBrew = {
    brew,
    drawdownS: plan.lifts ? null : forecast.drawdownS.value,
    tdsPercent: forecast.tdsPercent.value,
    beverageG: forecast.beverageG.value,
  };
  const repeated = valueOf(calibrateLot({ brews: [...brews, repeat], prior, near: factors }));
  return cupsOnAim(valueOf(forecastBrew({ calibration: repeated, brew })), targets);
}

/** Levers worth moving together: the grind with what it cannot do alone, and the water with its heat. */
const PAIRS: readonly (readonly [Lever, Lever])[] = [
  ['grind', 'ratio'],
  ['grind', 'kettle'],
  ['grind', 'bloom'],
  ['ratio', 'kettle'],
];

/** What taste asks for and the search does not offer, because the figures are there already: one usual step. */
function usualSteps(
  rules: readonly ChangeRule[],
  found: readonly Candidate[],
  search: ReturnType<typeof searcher>,
): Candidate[] {
  return rules
    .flatMap(({ wants }) => wants)
    .filter((push, index, all) => all.findIndex((other) => isSame(other, push)) === index)
    .filter((push) => !found.some(({ moves }) => moves.some((move) => goes(move, push))))
    .flatMap(({ lever, direction }) => search.stepped(lever, direction) ?? []);
}

function isSame(a: Push, b: Push): boolean {
  return a.lever === b.lever && a.direction === b.direction;
}

function proposed(
  candidate: Candidate,
  asItIs: Candidate,
  { wanted, record, avoided, school }: Judgement,
): ProposedChange {
  const { moves, timed: plan, forecast, chance } = candidate;
  const effect = {
    tdsPercent: forecast.tdsPercent.value - asItIs.forecast.tdsPercent.value,
    yieldPercent: forecast.yieldPercent.value - asItIs.forecast.yieldPercent.value,
    drawdownS: forecast.drawdownS.value - asItIs.forecast.drawdownS.value,
  };
  const byModel = `the model, ${forecast.isRough ? 'not yet calibrated on this lot' : 'calibrated on this lot'}, expects ${formatSigned(effect.tdsPercent, 2)} % strength, ${formatSigned(effect.yieldPercent, 1)} points of yield and ${formatSigned(effect.drawdownS, 0)} s`;
  return {
    kind: moves.length > 1 ? 'two-variable' : 'one-variable',
    moves,
    title: moves.map(describeMove).join('; '),
    plan: { ...plan, drawdownS: Math.max(Math.round(forecast.drawdownS.value), lastEndS(plan)) },
    expected: forecast,
    effect,
    taste: moves.map((move) => characterOf(move).taste).join('; '),
    chance,
    source: wanted ? { kind: 'rule', id: wanted.id } : { kind: 'model' },
    record,
    why: wanted ? `${wanted.because}; ${byModel}` : byModel,
    against: [
      ...avoided.map(({ because }) => because),
      ...(moves.length > 1 ? ['with two changes at once you will not know which one did it'] : []),
      ...(forecast.isRough
        ? ['no brew of this lot has been measured yet: the figures are a rough range']
        : []),
      ...moves.map((move) => characterOf(move).against),
    ],
    school,
  };
}

function lastEndS({ pours }: BrewPlan): number {
  return Math.ceil(Math.max(...pours.map(({ startS, amountG, flowGps }) => startS + amountG / flowGps))) + 1;
}
