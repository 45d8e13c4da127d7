/** The report of a mutation run, as its published schema has it; only what is read here. */
export interface MutationReport {
  files: Record<string, { source: string; mutants: Mutant[] }>;
}

interface Mutant {
  mutatorName: string;
  replacement?: string;
  status: string;
  location: { start: { line: number } };
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
