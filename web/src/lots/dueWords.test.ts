import { expect, it } from 'vitest';
import { dueWords } from './dueWords';

it('a lot that is to be proved says what its proof lacks', () => {
  const words = (proofMissing: Parameters<typeof dueWords>[0]['proofMissing']) =>
    dueWords({ due: { action: 'sign-off', isPressing: false }, proofMissing });
  expect(words(null)).toBe('proof and sign-off due');
  expect(words([])).toBe('proven, sign-off due');
  expect(words(['second-hands', 'label'])).toBe(
    'to prove: another pair of hands and the label’s notes found',
  );
  expect(words(['second-hands', 'label', 'repeats'])).toBe('to prove: 3 checks missing');
  expect(dueWords({ due: { action: 'next-brew', isPressing: false }, proofMissing: ['repeats'] })).toBe(
    'next brew due',
  );
});
