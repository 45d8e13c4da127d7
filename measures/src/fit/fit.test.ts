import { describe, expect, it } from 'vitest';
import { FACTS } from './facts.js';
import { missesOf } from './fitConstants.js';
import { fittedWith, priorsOf } from './parameters.js';
import { inCode } from './practiceFacts.js';

// The fit takes minutes; that the code brews with what it finds takes a second: no small move of a constant meets
// the brews of practice and its own prior better.
describe('the constants in the code', () => {
  const priors = priorsOf(FACTS);
  const costAt = (values: readonly number[]) => {
    const fitted = fittedWith(priors, values);
    const misses = FACTS.flatMap((fact) => missesOf(fact, fitted));
    const moves = priors.map(({ centre, lnSd }, index) => Math.log((values[index] ?? 0) / centre) / lnSd);
    return [...misses, ...moves].reduce((sum, each) => sum + each * each, 0);
  };
  // The size behind each word is no constant: it is set as the fit has it.
  const WORDS: Record<string, number> = {
    A: 1.025,
    B: 0.958,
    C: 1.064,
    D: 1.078,
    E: 0.963,
    F: 1.002,
    G: 0.961,
    H: 0.897,
  };
  const values = priors.map(({ name }) => inCode(name) ?? WORDS[name.replace('grind of ', '')] ?? NaN);

  it('meet them as well as can be', () => {
    const cost = costAt(values);
    expect(cost).toBeLessThan(13);
    for (const [index, { name, lnSd }] of priors.entries()) {
      for (const by of [-0.3, 0.3]) {
        const moved = values.map((value, at) => (at === index ? value * Math.exp(by * lnSd) : value));
        expect(costAt(moved), name).toBeGreaterThan(cost - 0.05);
      }
    }
  });

  it('are worth a forecast that knows nothing of them: a wall that does not drain is missed', () => {
    const closed = values.map((value, at) => (priors[at]?.name === 'wall of cone' ? value / 3 : value));
    expect(costAt(closed)).toBeGreaterThan(costAt(values) + 20);
  });
});
