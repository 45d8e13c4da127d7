import { describe, expect, it } from 'vitest';
import { mutationTally, sumOf, survivorsOf } from './mutationReport.js';

const mutant = (status: string, line: number) => ({
  mutatorName: 'EqualityOperator',
  replacement: 'a <= b',
  status,
  location: { start: { line } },
});
const REPORT = {
  files: {
    'src/plan/plan.ts': {
      source: 'const x = 1;\n  return a < b;\n',
      mutants: [mutant('Killed', 1), mutant('Timeout', 1), mutant('Survived', 2), mutant('NoCoverage', 2)],
    },
    'src/plan/other.ts': { source: '', mutants: [mutant('Ignored', 1), mutant('RuntimeError', 1)] },
  },
};

describe('a mutation report', () => {
  it('scores what was noticed against what was tried', () => {
    expect(mutationTally(REPORT)).toEqual({ killed: 2, survived: 2, scorePercent: 50 });
    expect(mutationTally({ files: {} }).scorePercent).toBe(100);
  });

  it('scores files together by their changes, not by their scores', () => {
    const large = { killed: 9, survived: 1, scorePercent: 90 };
    const small = { killed: 0, survived: 2, scorePercent: 0 };
    expect(sumOf([large, small])).toEqual({ killed: 9, survived: 3, scorePercent: 75 });
    expect(sumOf([])).toEqual({ killed: 0, survived: 0, scorePercent: 100 });
  });

  it('lists each survivor with its place and its line', () => {
    expect(survivorsOf(REPORT)).toEqual([
      'src/plan/plan.ts:2 EqualityOperator → a <= b    in    return a < b;',
      'src/plan/plan.ts:2 EqualityOperator → a <= b    in    return a < b;',
    ]);
  });
});
