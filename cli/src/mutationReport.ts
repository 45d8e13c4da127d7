/** The report of a mutation run, as its published schema has it; only what is read here. */
export interface MutationReport {
  files: Record<string, { source: string; mutants: Mutant[] }>;
}

interface Mutant {
  mutatorName: string;
  replacement?: string;
  status: string;
  location: { start: Place; end: Place };
}

/** From 1. */
interface Place {
  line: number;
  column: number;
}

export interface MutationTally {
  killed: number;
  survived: number;
  scorePercent: number;
}

const NOTICED = ['Killed', 'Timeout'];
const UNNOTICED = ['Survived', 'NoCoverage'];

/** How many of the changes some test noticed. What could not be run, or only at the load of a file, counts for neither. */
export function mutationTally({ files }: MutationReport): MutationTally {
  const all = Object.values(files).flatMap(({ mutants }) => mutants);
  const killed = all.filter(({ status }) => NOTICED.includes(status)).length;
  const survived = all.filter(({ status }) => UNNOTICED.includes(status)).length;
  return scored(killed, survived);
}

/** Files together. */
export function sumOf(tallies: readonly MutationTally[]): MutationTally {
  return scored(
    tallies.reduce((sum, { killed }) => sum + killed, 0),
    tallies.reduce((sum, { survived }) => sum + survived, 0),
  );
}

function scored(killed: number, survived: number): MutationTally {
  const tried = killed + survived;
  return { killed, survived, scorePercent: tried === 0 ? 100 : (100 * killed) / tried };
}

/** Why a change may go unnoticed and nothing is amiss, as far as that is seen from the change itself. */
export const SURVIVOR_KINDS = {
  edge: 'edges that no measured figure meets exactly (< for <=)',
  guard: 'guards that the compiler asks for (?? and ?.) of what is always there',
  words: 'wordings',
  other: 'to be looked at',
} as const;
export type SurvivorKind = keyof typeof SURVIVOR_KINDS;

/** How many of the changes that no test noticed are of each kind. */
export function survivorKinds({ files }: MutationReport): Record<SurvivorKind, number> {
  const count: Record<SurvivorKind, number> = { edge: 0, guard: 0, words: 0, other: 0 };
  for (const { source, mutants } of Object.values(files)) {
    const lines = source.split('\n');
    for (const mutant of mutants) {
      if (UNNOTICED.includes(mutant.status)) count[kindOf(mutant, originalOf(mutant, lines))]++;
    }
  }
  return count;
}

function kindOf({ mutatorName, replacement = '' }: Mutant, original: string): SurvivorKind {
  if (mutatorName === 'StringLiteral') return 'words';
  if (mutatorName === 'OptionalChaining') return 'guard';
  if (mutatorName === 'LogicalOperator' && original.includes('??')) return 'guard';
  const isEdge = mutatorName === 'EqualityOperator' && withoutEdge(original) === withoutEdge(replacement);
  return isEdge ? 'edge' : 'other';
}

const withoutEdge = (comparison: string) => comparison.replaceAll(/([<>])=/g, '$1').replaceAll(/\s+/g, '');

function originalOf({ location: { start, end } }: Mutant, lines: readonly string[]): string {
  if (start.line === end.line) return (lines[start.line - 1] ?? '').slice(start.column - 1, end.column - 1);
  return lines
    .slice(start.line - 1, end.line)
    .map((line, at, all) =>
      at === 0 ? line.slice(start.column - 1) : at === all.length - 1 ? line.slice(0, end.column - 1) : line,
    )
    .join('\n');
}

/** Each change that no test noticed: where it is, the line as it stands, and what may stand in its place. */
export function survivorsOf({ files }: MutationReport): string[] {
  return Object.entries(files).flatMap(([file, { source, mutants }]) =>
    mutants
      .filter(({ status }) => UNNOTICED.includes(status))
      .map(({ location, mutatorName, replacement }) => {
        const line = source.split('\n')[location.start.line - 1]?.trim() ?? '';
        const change = (replacement ?? '').replace(/\s+/g, ' ').slice(0, 60);
        return `${file}:${location.start.line} ${mutatorName} → ${change}    in    ${line}`;
      }),
  );
}
