import { createRequire } from 'node:module';

/** The parts of the solver used here; its own sources stand beside its build and would be compiled with ours. */
interface OdexSolver {
  absoluteTolerance: number[];
  relativeTolerance: number;
  maxSteps: number;
  denseOutput: boolean;
  denseComponents: number[] | undefined;
  solve(
    derivative: (x: number, y: number[]) => number[],
    start: number,
    y0: number[],
    end: number,
    onStep?: (
      step: number,
      before: number,
      now: number,
      y: number[],
      dense: (component: number, x: number) => number,
    ) => undefined,
  ): { y: number[]; outcome: number; nEval: number };
}

const odex = createRequire(import.meta.url)('odex') as { Solver: new (size: number) => OdexSolver };

export const OdexSolver = odex.Solver;
