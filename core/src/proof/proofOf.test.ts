import { describe, expect, it } from 'vitest';
import { PLAN } from '../testing/brews.js';
import { planWaterG } from '../plan/plan.js';
import { PROOF_CHECKS, USUAL_CHECKLIST, type ProofCheckId } from './checklist.js';
import type { ProofBrew } from './proofBrew.js';
import { proofOf, type ProofInput } from './proofOf.js';
import { findingWords } from './proofWords.js';

let made = 0;
const brew = (facts: Partial<ProofBrew> = {}): ProofBrew => {
  made += 1;
  return {
    id: made,
    number: made,
    by: 'Tamsin',
    grinder: 'house',
    fromCard: true,
    isSetAside: false,
    isSimulated: false,
    doseG: PLAN.doseG,
    waterG: planWaterG(PLAN),
    tdsPercent: 1.3,
    yieldPercent: 20,
    drainS: 175,
    roastAgeDays: 8,
    stages: ['hot', 'warm', 'cool'],
    ...facts,
  };
};
const proof = (brews: readonly ProofBrew[], facts: Partial<ProofInput> = {}) =>
  proofOf({
    checklist: USUAL_CHECKLIST,
    plan: PLAN,
    brews,
    grinder: 'house',
    author: 'Tamsin',
    label: { found: 2, of: 3 },
    insideShare: null,
    lot: { process: 'washed', additions: '' },
    waivers: [],
    ...facts,
  });
const stateOf = (found: ReturnType<typeof proof>, check: ProofCheckId) =>
  found.checks.find((each) => each.check === check)?.state;
const wordsOf = (found: ReturnType<typeof proof>, check: ProofCheckId) => {
  const finding = found.checks.find((each) => each.check === check)?.finding;
  return finding ? findingWords(finding) : '';
};

describe('a proof', () => {
  it('holds by three brews, one of them by somebody else on another grinder', () => {
    const brews = [
      brew(),
      brew({ tdsPercent: 1.34 }),
      brew({ by: 'Joss', grinder: 'travel', tdsPercent: 1.29 }),
    ];
    const found = proof(brews);
    expect(found.isProven).toBe(true);
    expect(found.checks.map(({ state }) => state)).toEqual(Array(6).fill('met'));
    expect(found).toMatchObject({
      hands: ['Tamsin', 'Joss'],
      grinders: ['house', 'travel'],
      isOneHand: false,
    });
    expect(found.checks.find(({ check }) => check === 'second-hands')?.brewIds).toEqual([brews[2]!.id]);
  });

  it('wants the other hands to have had the card alone', () => {
    const found = proof([
      brew({ fromCard: false }),
      brew({ fromCard: false }),
      brew({ by: 'Joss', fromCard: false }),
    ]);
    expect(stateOf(found, 'second-hands')).toBe('missing');
    expect(wordsOf(found, 'second-hands')).toBe(
      'Joss brewed it by the bench: have it brewed from the card alone.',
    );
    const after = proof([
      brew({ fromCard: false }),
      brew({ by: 'Joss', fromCard: false }),
      brew({ by: 'Ilse' }),
    ]);
    expect(wordsOf(after, 'second-hands')).toBe(
      'Ilse brewed it from the card alone, and it came out the same.',
    );
  });

  it('takes the card’s brew of whoever brewed most, but not of whoever wrote the recipe', () => {
    const most = proof([brew({ fromCard: false }), brew({ by: 'Joss' }), brew({ by: 'Joss' })]);
    expect(stateOf(most, 'second-hands')).toBe('met');
    const own = proof([brew({ by: 'Joss', fromCard: false }), brew(), brew()]);
    expect(stateOf(own, 'second-hands')).toBe('missing');
  });

  it('of nothing lacks what brews are for, and says so of each', () => {
    const found = proof([]);
    expect(found.isProven).toBe(false);
    expect(found.checks.filter(({ state }) => state === 'met').map(({ check }) => check)).toEqual([
      'label',
      'allergens',
    ]);
    expect(found).toMatchObject({ strength: null, roastAgeDays: null, hands: [], isOneHand: false });
    expect(wordsOf(found, 'second-hands')).toBe('Not brewed yet.');
    expect(wordsOf(found, 'repeats')).toBe('0 of 3 measured brews.');
  });

  it('names the figure in which repeats lie too far apart, and forgets what went before the last', () => {
    const far = [brew(), brew({ tdsPercent: 1.43, drainS: 206 }), brew()];
    expect(stateOf(proof(far), 'repeats')).toBe('missing');
    expect(wordsOf(proof(far), 'repeats')).toMatch(/too far in strength and time\.$/);
    expect(stateOf(proof([...far, brew(), brew()]), 'repeats')).toBe('met');
    // At the limit itself they agree.
    expect(stateOf(proof([brew(), brew({ tdsPercent: 1.42 }), brew({ drainS: 205 })]), 'repeats')).toBe(
      'met',
    );
    expect(stateOf(proof([brew(), brew({ yieldPercent: 21.6 }), brew()]), 'repeats')).toBe('missing');
  });

  it('takes no cup of another hand or grinder that came out otherwise', () => {
    const found = proof([brew(), brew(), brew({ by: 'Joss', grinder: 'travel', tdsPercent: 1.5 })]);
    expect([stateOf(found, 'second-hands'), stateOf(found, 'second-grinder')]).toEqual([
      'missing',
      'missing',
    ]);
    expect(wordsOf(found, 'second-hands')).toBe('Joss: off in strength.');
  });

  it('calls nobody the second hand of himself, and of two as busy the author the first', () => {
    expect(stateOf(proof([brew(), brew(), brew()]), 'second-hands')).toBe('missing');
    expect(proof([brew(), brew()]).isOneHand).toBe(true);
    const found = proof([brew({ by: 'Joss' }), brew()]);
    expect(wordsOf(found, 'second-hands')).toContain('Joss brewed it from the card alone');
  });

  it.each([
    ['excluded', { isSetAside: true }],
    ['simulated', { isSimulated: true }],
    ['other-dose', { doseG: PLAN.doseG * 1.031 }],
    ['other-water', { waterG: planWaterG(PLAN) * 0.969 }],
    ['not-measured', { tdsPercent: null }],
    ['not-measured', { yieldPercent: null }],
  ] as const)('counts no brew that is %s', (why, facts) => {
    const odd = brew(facts);
    const found = proof([brew(), odd, brew()]);
    expect(found.notCounted).toEqual([{ id: odd.id, why }]);
    expect(found.strength?.count).toBe(2);
  });

  it('asks for what the checklist asks for and no more, but always for allergens', () => {
    const nothing = {
      ...USUAL_CHECKLIST,
      needsSecondHands: false,
      needsSecondGrinder: false,
      needsThreeStages: false,
      labelFoundPercent: null,
    };
    expect(proof([], { checklist: nothing }).checks.map(({ check }) => check)).toEqual([
      'repeats',
      'allergens',
    ]);
    expect(proof([], { label: null }).checks.map(({ check }) => check)).not.toContain('label');
    const all = proof([], { checklist: { ...USUAL_CHECKLIST, forgivenPercent: 30 } });
    expect(all.checks.map(({ check }) => check)).toEqual(PROOF_CHECKS);
  });

  it('weighs the label and the model against what is asked', () => {
    expect(stateOf(proof([], { label: { found: 1, of: 2 } }), 'label')).toBe('met');
    expect(stateOf(proof([], { label: { found: 1, of: 3 } }), 'label')).toBe('missing');
    const forgiving = (insideShare: number | null) =>
      stateOf(
        proof([], { checklist: { ...USUAL_CHECKLIST, forgivenPercent: 30 }, insideShare }),
        'forgiveness',
      );
    expect([forgiving(null), forgiving(0.29), forgiving(0.3)]).toEqual(['missing', 'missing', 'met']);
  });

  it('wants additions declared where there are or may be some', () => {
    const declared = (process: ProofInput['lot']['process'], additions: string) =>
      stateOf(proof([], { lot: { process, additions } }), 'allergens');
    expect(declared('co-fermented', '')).toBe('missing');
    expect(declared('co-fermented', 'mango')).toBe('met');
    expect(declared('not-known', '')).toBe('missing');
    expect(declared('natural', ' ')).toBe('met');
  });

  it('lets a lead waive a check, which stays waived only while it is missing', () => {
    const waivers = [{ check: 'second-grinder', reason: 'one grinder in the house' }] as const;
    const two = [brew(), brew(), brew({ by: 'Joss' })];
    const found = proof(two, { waivers });
    expect(found.isProven).toBe(true);
    expect(found.checks.find(({ check }) => check === 'second-grinder')).toMatchObject({
      state: 'waived',
      waiver: { reason: 'one grinder in the house' },
    });
    expect(stateOf(proof([...two, brew({ grinder: 'travel' })], { waivers }), 'second-grinder')).toBe('met');
  });

  it('tells stages of cups that nobody measured, and not of simulated ones', () => {
    const missing = (brews: readonly ProofBrew[]) => wordsOf(proof(brews), 'three-stages');
    expect(missing([brew({ tdsPercent: null, stages: ['hot'] }), brew({ stages: ['cool'] })])).toBe(
      'No sheet yet: warm.',
    );
    expect(missing([brew({ isSimulated: true })])).toBe('No sheet yet: hot, warm, cool.');
  });
});
