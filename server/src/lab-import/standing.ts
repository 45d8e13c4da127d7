import type { ImportConflict, ImportCount } from '@vendu/contract';

/** What a row of a file became. */
export interface Standing {
  /** Its number here; the one it would have where it is not here yet. Of a row that joins two others, the first's. */
  id: string;
  /** The second's, of a row that joins two; else `0`. */
  secondId: string;
  fate: 'fresh' | 'same' | 'differing' | 'heldBack';
  /** Whether what hangs on it has to be held back. */
  isOther: boolean;
  /** The lot it belongs to, by its number here. */
  lotId: string | null;
  title: string;
}

/** A list of more is read by nobody; how many there are stands in the counts. */
const MOST_CONFLICTS = 100;
const LONGEST = 60;

/** What became of everything in a file, as it is gone through. */
export class Standings {
  private readonly byTable = new Map<string, Map<string, Standing>>();
  private readonly counted = new Map<string, ImportCount>();
  readonly conflicts: ImportConflict[] = [];
  readonly remarks: string[] = [];

  of(table: string, idInFile: string): Standing | undefined {
    return this.byTable.get(table)?.get(idInFile);
  }

  /** Those of one table that are not here yet. */
  fresh(table: string): Standing[] {
    return [...(this.byTable.get(table)?.values() ?? [])].filter(({ fate }) => fate === 'fresh');
  }

  /** The numbers of those of one table that were here before. */
  here(table: string): string[] {
    return [...(this.byTable.get(table)?.values() ?? [])]
      .filter(({ fate }) => fate === 'same' || fate === 'differing')
      .map(({ id }) => id);
  }

  /** Whether any of one table has another number here than in the file. */
  hasMoved(table: string): boolean {
    return [...(this.byTable.get(table) ?? [])].some(([inFile, { id }]) => inFile !== id);
  }

  /**
   * Lots whose figures that follow from records do not hold as they came: to which something comes that are here, or whose
   * rows have other numbers here, which such figures name. What came whole under its own numbers holds as it is.
   */
  lotsToCompute(): number[] {
    const known = new Set(this.here('lots'));
    const wanted = new Set<string>();
    for (const rows of this.byTable.values()) {
      for (const [inFile, { fate, id, secondId, lotId }] of rows) {
        const isMoved = secondId === '0' && inFile !== id;
        if (fate === 'fresh' && lotId !== null && (isMoved || known.has(lotId))) wanted.add(lotId);
      }
    }
    return [...wanted].map(Number).sort((a, b) => a - b);
  }

  /** Numbers of lots, as they are here, that something comes to. */
  lotsTouched(): number[] {
    const standings = [...this.byTable.values()].flatMap((rows) => [...rows.values()]);
    const touched = standings.flatMap(({ fate, lotId }) =>
      fate === 'fresh' && lotId ? [Number(lotId)] : [],
    );
    return [...new Set(touched)].sort((a, b) => a - b);
  }

  add(table: string, idInFile: string, standing: Standing): void {
    const rows = this.byTable.get(table) ?? new Map<string, Standing>();
    this.byTable.set(table, rows.set(idInFile, standing));
  }

  count(what: string, fates: readonly Standing['fate'][]): void {
    if (fates.length === 0) return;
    const counted = { fresh: 0, same: 0, differing: 0, heldBack: 0 };
    for (const fate of fates) counted[fate] += 1;
    this.counted.set(what, { what, ...counted });
  }

  /** @param order - kinds in the order in which they are told */
  counts(order: readonly string[]): ImportCount[] {
    return order.flatMap((what) => this.counted.get(what) ?? []);
  }

  conflict({ here, inFile, ...told }: ImportConflict): void {
    if (this.conflicts.length === MOST_CONFLICTS) return;
    const [ours, theirs] = whereTheyPart(here, inFile);
    this.conflicts.push({ ...told, here: cut(ours), inFile: cut(theirs) });
  }
}

const cut = (text: string) => (text.length > LONGEST ? `${text.slice(0, LONGEST - 1)}…` : text);

/** Of two plans, or whatever else is kept as an object, only what they tell otherwise. */
function whereTheyPart(here: string, inFile: string): [string, string] {
  if (!here.startsWith('{') || !inFile.startsWith('{')) return [here, inFile];
  const [ours, theirs] = [JSON.parse(here), JSON.parse(inFile)] as [
    Record<string, unknown>,
    Record<string, unknown>,
  ];
  const fields = [...new Set([...Object.keys(ours), ...Object.keys(theirs)])].filter(
    (field) => JSON.stringify(ours[field]) !== JSON.stringify(theirs[field]),
  );
  const told = (of: Record<string, unknown>) =>
    fields.map((field) => `${field} ${field in of ? JSON.stringify(of[field]) : '–'}`).join(', ');
  return [told(ours), told(theirs)];
}
