/** How many things of a kind a file brings, and how they stand to what is here. */
export interface ImportCount {
  /** Of which kind, as the trade says it: “brews”. */
  what: string;
  fresh: number;
  same: number;
  /** Here already, and told otherwise here: what is here stays. */
  differing: number;
  /** Left out, since it hangs on something that is another thing here. */
  heldBack: number;
}

/** One thing that the file tells otherwise than the lab. */
export interface ImportConflict {
  what: string;
  /** Which one. */
  about: string;
  field: string;
  here: string;
  inFile: string;
}

/** What a file would bring, or brought. */
export interface ImportReport {
  /** When the file was made, ISO 8601. */
  madeAt: string;
  counts: ImportCount[];
  /** The first of them. */
  conflicts: ImportConflict[];
  /** Whole sentences on what was done otherwise than the file has it. */
  remarks: string[];
}

/** A file that was taken in. */
export interface ImportView {
  id: number;
  fileName: string;
  madeAt: string;
  counts: ImportCount[];
  takenBy: string;
  createdAt: string;
  undoneAt: string | null;
}

/** What came of bringing a file in. */
export interface ImportTaken extends ImportReport {
  /** `null` where the file brought nothing that was not here. */
  taken: ImportView | null;
}
