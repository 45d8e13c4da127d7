/** One step of the schema's history. Once landed it never changes; the next change is the next step. */
export interface Migration {
  /** Number and name; the order is by number. */
  name: string;
  statements: readonly string[];
}
