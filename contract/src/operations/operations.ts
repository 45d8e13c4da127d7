/** A statement that took long, without any of what it was about. */
export interface SlowStatement {
  statement: string;
  count: number;
  longestMs: number;
}

/** How the application runs, for whoever looks after it. */
export interface OperationsView {
  version: string;
  node: string;
  /** Which of the lab's servers told this, as `1 of 2`; `null` where it is the only one. */
  server: string | null;
  startedAt: string;
  /** By this server's clock, when the answer was made. */
  now: string;
  schema: { step: string; pending: number };
  database: {
    version: string;
    bytes: number;
    largest: { table: string; bytes: number }[];
    /** How far its clock is ahead of the server's. */
    aheadMs: number;
    /** Of the disk it lies on; `null` where that is another machine’s. */
    freeBytes: number | null;
    /** The last thing that was to be stored found no room. */
    isFull: boolean;
    /** Of a cluster; `null` where the database is one alone. */
    nodes: { running: number; of: number } | null;
  };
  /** Copies where they usually go; `null` where no folder is known. */
  copies: { count: number; newest: { at: string; bytes: number } | null; freeBytes: number } | null;
  /** Since the start; times of the last thousand. */
  requests: { answered: number; refused: number; failed: number; medianMs: number; p95Ms: number };
  slow: SlowStatement[];
  /** What is to be told to addresses elsewhere; given up in the last seven days. */
  webhooks: { waiting: number; givenUp: number };
  /** What the server sees to by itself. */
  care: { at: string | null; isFaulty: boolean };
  /** Curves of brews; `null` days where they are kept for good. */
  traces: { bytes: number; keptDays: number | null };
}
