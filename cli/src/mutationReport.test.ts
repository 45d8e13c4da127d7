import { describe, expect, it } from 'vitest';
import { mutationTally, sumOf, survivorKinds, survivorsOf } from './mutationReport.js';

const mutant = (status: string, line: number) => ({
  mutatorName: 'EqualityOperator',
  replacement: 'a <= b',
  status,
  location: { start: { line, column: 1 }, end: { line, column: 20 } },
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

  it('tells survivors apart by what the change itself shows', () => {
    const source = 'if (a < b && (c ?? 0) > 2) return `x`;\n';
    const at = (text: string, mutatorName: string, replacement: string) => ({
      mutatorName,
      replacement,
      status: 'Survived',
      location: {
        start: { line: 1, column: source.indexOf(text) + 1 },
        end: { line: 1, column: source.indexOf(text) + 1 + text.length },
      },
    });
    const mutants = [
      at('a < b', 'EqualityOperator', 'a <= b'),
      at('a < b', 'EqualityOperator', 'a >= b'),
      at('c ?? 0', 'LogicalOperator', 'c && 0'),
      at('a < b && (c ?? 0) > 2', 'ConditionalExpression', 'true'),
      at('`x`', 'StringLiteral', '``'),
      { ...at('a < b', 'EqualityOperator', 'a <= b'), status: 'Killed' },
    ];
    expect(survivorKinds({ files: { 'src/a.ts': { source, mutants } } })).toEqual({
      edge: 1,
      guard: 1,
      words: 1,
      other: 2,
    });
  });
});
