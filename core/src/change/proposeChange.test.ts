import { describe, expect, it } from 'vitest';
import { calibrateLot } from '../calibration/calibrateLot.js';
import { conditionsOfPlan } from '../calibration/conditions.js';
import type { MeasuredBrew } from '../calibration/evidence.js';
import { forecastBrew } from '../calibration/forecastBrew.js';
import { forecastPlan } from '../forecast/forecastPlan.js';
import { planRatio, type BrewPlan } from '../plan/plan.js';
import { valueOf } from '../result.js';
import { USUAL_SCHOOLS, type Schools } from '../schools/schools.js';
import { aimAround, CONE_KIT, PLAN } from '../testing/brews.js';
import { boilingPointC } from '../water/boilingPoint.js';
import { FINDINGS, type Finding } from './findings.js';
import { withLever, MOVES, type Lever } from './levers.js';
import { proposeChange } from './proposeChange.js';
import type { LastBrew } from './situation.js';
import type { Targets } from '../aim/aim.js';
import { TASTE_RULES } from './tasteRules.js';

const LIMITS = { finestUm: 300, coarsestUm: 1400, coolestC: 80, hottestC: 99 };
const nothingKnown = valueOf(calibrateLot({ brews: [] }));

const outcomeOf = (plan: BrewPlan) => {
  const forecast = valueOf(
    forecastBrew({ calibration: nothingKnown, brew: conditionsOfPlan({ plan, kit: CONE_KIT }) }),
  );
  return {
    tdsPercent: forecast.tdsPercent.value,
    yieldPercent: forecast.yieldPercent.value,
    drawdownS: forecast.drawdownS.value,
    beverageG: forecast.beverageG.value,
  };
};
/** A brew that came out just as the model has it, read with good instruments. */
function measuredAs(plan: BrewPlan): MeasuredBrew {
  const { tdsPercent, drawdownS, beverageG } = outcomeOf(plan);
  return {
    brew: conditionsOfPlan({ plan, kit: CONE_KIT }),
    drawdownS,
    tdsPercent,
    beverageG,
    standard: { drawdownS: 1, tdsPercent: 0.005, beverageG: 0.5 },
  };
}
const lastOf = (figures: Partial<LastBrew>): LastBrew => ({
  tdsPercent: null,
  yieldPercent: null,
  drawdownS: null,
  uncertainty: { tdsPercent: 0.02, yieldPercent: 0.3, drawdownS: 4 },
  ...figures,
});
const targetOf = (plan: BrewPlan): Targets => {
  const { tdsPercent, yieldPercent, drawdownS } = outcomeOf(plan);
  return aimAround({ tdsPercent, yieldPercent, drawdownS });
};
const calibrated = valueOf(calibrateLot({ brews: [measuredAs(PLAN)] }));
const advised = (change: Partial<Parameters<typeof proposeChange>[0]>) =>
  valueOf(
    proposeChange({
      plan: PLAN,
      kit: CONE_KIT,
      calibration: calibrated,
      targets: targetOf(PLAN),
      limits: LIMITS,
      ...change,
    }),
  );

describe('a target that one lever reaches', () => {
  it.each<[Lever, number]>([
    ['grind', 620],
    ['grind', 780],
    ['ratio', 15.3],
  ])('finds the %s of a hidden recipe, %d', (lever, value) => {
    const hidden = withLever(PLAN, lever, value);
    const { changes } = advised({ targets: targetOf(hidden ?? PLAN) });
    expect(changes[0]?.kind).toBe('one-variable');
    expect(changes[0]?.moves.map((move) => move.lever)).toEqual([lever]);
    expect(Math.abs((changes[0]?.moves[0]?.to ?? 0) - value)).toBeLessThanOrEqual(MOVES[lever].step * 2);
    expect(changes[0]?.chance).toBeGreaterThan(0.4);
    expect(changes[0]?.why).toContain('the model, calibrated on this lot');
  });

  it('says what to expect, with bands about it, where the taste goes and what speaks against it', () => {
    const [first] = advised({ targets: targetOf({ ...PLAN, grindUm: 620 }) }).changes;
    expect(first?.effect.yieldPercent).toBeGreaterThan(0.7);
    expect(first?.effect.drawdownS).toBeGreaterThan(5);
    expect(first?.expected.tdsPercent.low).toBeLessThan(first?.expected.tdsPercent.value ?? 0);
    expect(first?.taste).toBe('sweeter and rounder, until bitter');
    expect(first?.against).toContain('finer works only until the paper clogs');
    expect(first?.title).toMatch(/^grind \d+ µm finer, to \d+ µm$/);
  });
});

describe('a target that takes two levers', () => {
  const hidden = withLever({ ...PLAN, grindUm: 600 }, 'ratio', 15) ?? PLAN;

  it('offers both at once, marked as such, where one would cost a brew more', () => {
    const { changes } = advised({ targets: targetOf(hidden) });
    expect(changes[0]?.kind).toBe('two-variable');
    expect(changes[0]?.moves.map(({ lever }) => lever)).toEqual(['grind', 'ratio']);
    expect(changes[0]?.against).toContain('with two changes at once you will not know which one did it');
    expect(changes.some(({ kind }) => kind === 'one-variable')).toBe(true);
  });

  it('offers both only where they are likelier by eight points than the best single one', () => {
    const margins = [560, 600, 640, 680].flatMap((grindUm) =>
      [14.6, 15, 15.4, 15.8].flatMap((ratio) => {
        const far = withLever({ ...PLAN, grindUm }, 'ratio', ratio) ?? PLAN;
        const { changes } = advised({ targets: targetOf(far) });
        const bestOf = (kind: string) =>
          Math.max(0, ...changes.filter((each) => each.kind === kind).map(({ chance }) => chance));
        const pair = bestOf('two-variable');
        return pair === 0 ? [] : [pair - bestOf('one-variable')];
      }),
    );
    expect(margins.length).toBeGreaterThan(3);
    expect(Math.min(...margins)).toBeGreaterThan(0.08);
    expect(Math.min(...margins)).toBeLessThan(0.2);
  });

  it('leaves out single changes that come nowhere near the best of them', () => {
    const { changes } = advised({ targets: targetOf({ ...PLAN, grindUm: 620 }) });
    const chances = changes.filter(({ kind }) => kind === 'one-variable').map(({ chance }) => chance);
    expect(Math.min(...chances)).toBeGreaterThanOrEqual(0.1 * Math.max(...chances));
  });

  it('does not move pours or agitation on the word of the model alone', () => {
    const levers = (asked: Parameters<typeof advised>[0]) =>
      advised(asked).changes.flatMap(({ moves }) => moves.map(({ lever }) => lever));
    const targets = targetOf({ ...PLAN, grindUm: 620 });
    expect(levers({ targets })).not.toContain('pours');
    expect(levers({ targets })).not.toContain('agitation');
    expect(levers({ targets, findings: ['sour-and-bitter'] })).toContain('agitation');
  });

  it('keeps to the levers it is given', () => {
    const { changes } = advised({ targets: targetOf(hidden), levers: ['grind'] });
    expect(changes.flatMap(({ moves }) => moves).every(({ lever }) => lever === 'grind')).toBe(true);
  });
});

describe('limits', () => {
  it('proposes nothing that grinder or kettle cannot do', () => {
    const limits = { finestUm: 660, coarsestUm: 720, coolestC: 90, hottestC: 94 };
    const { changes, notes } = advised({ targets: targetOf({ ...PLAN, grindUm: 560 }), limits });
    for (const { plan } of changes) {
      expect(plan.grindUm).toBeGreaterThanOrEqual(660);
      expect(plan.kettleC).toBeLessThanOrEqual(94);
    }
    expect(notes.some((note) => note.includes('no finer than 660 µm'))).toBe(
      changes[0]?.plan.grindUm === 660,
    );
  });

  it('proposes no kettle above the boiling point of the altitude', () => {
    const boilingC = boilingPointC({ elevationM: 2400 });
    const { changes } = advised({
      kit: { ...CONE_KIT, elevationM: 2400 },
      plan: { ...PLAN, kettleC: 90 },
      findings: ['flat'],
      targets: aimAround({ yieldPercent: 22 }),
    });
    expect(changes.length).toBeGreaterThan(0);
    for (const { plan } of changes) expect(plan.kettleC).toBeLessThanOrEqual(boilingC);
  });

  it('proposes no more water than the brewer holds', () => {
    // Just high enough for 1:17.
    const fullAt17 = valueOf(
      forecastPlan({ plan: withLever(PLAN, 'ratio', 17) ?? PLAN, kit: CONE_KIT }),
    ).maxLevelM;
    const low = { ...CONE_KIT, brewer: { ...CONE_KIT.brewer, heightM: fullAt17 } };
    const weaker = aimAround({ tdsPercent: outcomeOf(PLAN).tdsPercent - 0.15 });
    const held = advised({ kit: low, targets: weaker, levers: ['ratio'] }).changes[0];
    const free = advised({ targets: weaker, levers: ['ratio'] }).changes[0];
    expect(held?.expected.overflows ?? false).toBe(false);
    expect(planRatio(held?.plan ?? PLAN)).toBeLessThan(planRatio(free?.plan ?? PLAN));
  });

  it('names what is wrong with a question', () => {
    const ask = (change: object) =>
      proposeChange({
        plan: PLAN,
        kit: CONE_KIT,
        calibration: calibrated,
        targets: {},
        limits: LIMITS,
        ...change,
      });
    expect(ask({})).toMatchObject({ reason: 'no-target' });
    expect(ask({ targets: aimAround({ tdsPercent: 13 }) })).toMatchObject({
      field: 'tdsPercent',
      allowed: '0.3 to 5 %',
    });
    expect(ask({ targets: aimAround({ tdsPercent: 1.3 }), plan: { ...PLAN, pours: [] } })).toMatchObject({
      ok: false,
    });
  });
});

// Directions and cases: common practice.
describe('taste and sight', () => {
  const here = outcomeOf(PLAN);
  // The aim lies where a finer, or a coarser, grind would be: the brew came out low, or high.
  const aims: Record<'low' | 'there' | 'high', Targets> = {
    low: targetOf({ ...PLAN, grindUm: 610 }),
    there: targetOf(PLAN),
    high: targetOf({ ...PLAN, grindUm: 790 }),
  };
  const firstMove = (finding: Finding, came: keyof typeof aims, schools: Schools = USUAL_SCHOOLS) => {
    const { changes } = advised({ findings: [finding], last: lastOf(here), targets: aims[came], schools });
    const [move] = changes[0]?.moves ?? [];
    return move ? `${move.lever} ${move.to > move.from ? 'up' : 'down'}` : 'none';
  };

  it.each<[Finding, keyof typeof aims, string]>([
    ['sour', 'low', 'grind down'],
    // Not the grind: the yield is there.
    ['sour', 'there', 'agitation up'],
    ['watery', 'low', 'grind down'],
    ['watery', 'there', 'ratio down'],
    ['bitter', 'high', 'grind up'],
    // The obvious change, finer, is wrong: calm the bed first.
    ['bitter', 'low', 'agitation down'],
    ['dry', 'high', 'grind up'],
    ['dry', 'low', 'grind down'],
    ['muddled', 'high', 'grind up'],
    ['sour-and-bitter', 'there', 'agitation up'],
    ['sour-and-bitter', 'low', 'agitation up'],
    ['boozy', 'there', 'kettle down'],
    ['flat', 'there', 'kettle up'],
    ['stalled', 'high', 'grind up'],
    ['drained-fast', 'low', 'grind down'],
    // Fast but extracted: time alone is no fault.
    ['drained-fast', 'there', 'ratio down'],
    ['level-high', 'high', 'grind up'],
    ['bed-dry', 'low', 'grind down'],
    ['bed-cratered', 'there', 'agitation up'],
  ])('%s, with a yield that came out %s: %s', (finding, came, expected) => {
    expect(firstMove(finding, came)).toBe(expected);
  });

  it('has something to say to every finding, and asks for no move that it also speaks against', () => {
    expect(new Set(TASTE_RULES.map(({ finding }) => finding))).toEqual(new Set(FINDINGS));
    for (const { wants, avoids } of TASTE_RULES) {
      expect(wants.filter((push) => avoids.includes(push))).toEqual([]);
    }
  });

  it('puts what a rule asks for behind another’s once it has missed in this house, and shows its record', () => {
    const asked = { findings: ['flat', 'sour-and-bitter'] as const, last: lastOf(here) };
    const plain = advised(asked).changes;
    expect(plain[0]).toMatchObject({ source: { kind: 'rule', id: 'flat' }, record: null });
    const { changes } = advised({ ...asked, ruleRecords: [{ ruleId: 'flat', came: 1, missed: 20 }] });
    expect(changes[0]).toMatchObject({ source: { kind: 'rule', id: 'sour-and-bitter' }, record: null });
    const hotter = changes.find(({ title }) => title === plain[0]?.title);
    expect(hotter).toMatchObject({ chance: plain[0]?.chance, record: { came: 1, missed: 20 } });
  });

  it('leaves the cause of dryness open until time and yield tell which of the two it is', () => {
    const { changes, notes } = advised({ findings: ['dry'], last: null });
    expect(notes.some((note) => note.includes('two opposite causes'))).toBe(true);
    expect(changes.every(({ source }) => source.kind === 'model')).toBe(true);
  });

  it('has nothing against a bed that shows where the house wants it to', () => {
    const drained: Schools = { ...USUAL_SCHOOLS, 'pour-when': 'when-drained' };
    const asked = { findings: ['bed-dry' as const], last: lastOf(here) };
    expect(advised({ ...asked, schools: drained }).isThere).toBe(true);
    expect(advised(asked).isThere).toBe(false);
  });

  it('follows the school on a dry bed and on leaving it still', () => {
    const drained: Schools = { ...USUAL_SCHOOLS, 'pour-when': 'when-drained' };
    const { notes } = advised({ findings: ['bed-dry'], last: lastOf(here), schools: drained });
    expect(notes.some((note) => note.includes('is what is wanted'))).toBe(true);
    const still: Schools = { ...USUAL_SCHOOLS, agitation: 'leave-still' };
    expect(firstMove('sour-and-bitter', 'there', still)).toBe('bloom up');
  });

  it('puts the lever that the house moves first ahead of its near equals, and says so', () => {
    // Kettle and pours come out about as likely to make this cup stronger.
    const first = (firstLever: Schools['first-lever']) =>
      advised({
        targets: aimAround({ tdsPercent: here.tdsPercent + 0.05 }),
        levers: ['kettle', 'pours'],
        schools: { ...USUAL_SCHOOLS, 'first-lever': firstLever },
      }).changes[0];
    expect(first('kettle')?.moves[0]?.lever).toBe('kettle');
    expect(first('pours')?.moves[0]?.lever).toBe('pours');
    expect(first('pours')?.school).toBe('the house moves the pours first');
  });
});

describe('honesty', () => {
  it('asks for a repeat when the last brew lies on target within its uncertainty', () => {
    const { tdsPercent, yieldPercent, drawdownS } = outcomeOf(PLAN);
    const last = lastOf({ tdsPercent, yieldPercent, drawdownS });
    const { asItIs, isThere } = advised({ last });
    expect(isThere).toBe(true);
    expect(advised({ last, findings: ['boozy'] }).isThere).toBe(false);
    expect(asItIs.chance).toBeGreaterThan(0.6);
  });

  it('takes a recipe by the chance of its next cups, not by one measured cup', () => {
    const { tdsPercent, yieldPercent, drawdownS } = outcomeOf(PLAN);
    // A cup read inside a window at whose edge the recipe lies.
    const atEdge: Targets = { tdsPercent: { low: tdsPercent + 0.02, high: tdsPercent + 0.1 } };
    const lucky = lastOf({ tdsPercent: tdsPercent + 0.03, yieldPercent, drawdownS });
    const { asItIs, isThere, situation, notes } = advised({ targets: atEdge, last: lucky });
    expect(situation.strength).toBe('on-aim');
    expect(asItIs.chance).toBeLessThan(0.5);
    expect(isThere).toBe(false);
    expect(notes.some((note) => note.includes('misses the aim'))).toBe(false);
    expect(asItIs.chanceIfRepeated).toBeNull();
  });

  it('says what one more brew like it would make of the chance', () => {
    const { tdsPercent, yieldPercent, drawdownS } = outcomeOf(PLAN);
    const { asItIs } = advised({ last: lastOf({ tdsPercent, yieldPercent, drawdownS }) });
    expect(asItIs.chanceIfRepeated).toBeGreaterThan(asItIs.chance - 0.02);
    expect(asItIs.chanceIfRepeated).toBeLessThanOrEqual(1);
  });

  it('marks figures as rough while no brew was measured, with wider bands and smaller chances', () => {
    const targets = targetOf({ ...PLAN, grindUm: 620 });
    const rough = advised({ calibration: nothingKnown, targets });
    const known = advised({ targets });
    expect(rough.notes.some((note) => note.includes('rough range'))).toBe(true);
    expect(rough.changes[0]?.expected.isRough).toBe(true);
    expect(rough.changes[0]?.chance).toBeLessThan(known.changes[0]?.chance ?? 0);
  });
});

describe('one notion of the aim', () => {
  const here = outcomeOf(PLAN);
  const window = (tdsFrom: number, tdsTo: number, yieldFrom: number, yieldTo: number): Targets => ({
    tdsPercent: { low: here.tdsPercent + tdsFrom, high: here.tdsPercent + tdsTo },
    yieldPercent: { low: here.yieldPercent + yieldFrom, high: here.yieldPercent + yieldTo },
  });

  it('gives a recipe whose brew lies well inside its window a good chance, whatever its drain time', () => {
    const { asItIs, isThere } = advised({
      targets: window(-0.12, 0.06, -3, 1),
      last: lastOf({ ...here, drawdownS: here.drawdownS + 60 }),
    });
    expect(isThere).toBe(true);
    expect(asItIs.chance).toBeGreaterThan(0.6);
  });

  it('offers more water first where the cup is too strong and the yield is there', () => {
    const { changes, isThere } = advised({
      targets: window(-0.25, -0.09, -1.5, 1.5),
      last: lastOf(here),
    });
    expect(isThere).toBe(false);
    expect(changes[0]?.moves.map(({ lever, from, to }) => `${lever} ${to > from ? 'up' : 'down'}`)).toEqual([
      'ratio up',
    ]);
    expect(changes[0]?.why).toContain('use more water');
  });

  it('still ranks, and says what cannot be met, where no change reaches the aim', () => {
    const { changes, notes } = advised({ targets: window(0.7, 0.8, -5, -4), last: lastOf(here) });
    expect(changes[0]?.chance).toBeLessThan(0.01);
    const miss = ({ expected }: (typeof changes)[number]) =>
      Math.hypot(
        (expected.tdsPercent.value - here.tdsPercent - 0.75) / 0.05,
        (expected.yieldPercent.value - here.yieldPercent + 4.5) / 0.5,
      );
    const [first] = changes;
    for (const change of changes.slice(1)) {
      if (first) expect(miss(first)).toBeLessThanOrEqual(miss(change) + 1);
    }
    expect(notes.find((note) => note.includes('are likely to reach the whole aim'))).toMatch(
      /expected to give .*% strength \(aim .* to .*\)/,
    );
  });
});
