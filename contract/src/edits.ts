/** A field of something that was changed; its values as they are stored, `null` for none. */
export interface EditedField {
  field: string;
  from: unknown;
  to: unknown;
}

/** What somebody changed of one thing at a time. */
export interface EditView {
  id: number;
  at: string;
  by: string;
  /** Which kind of thing, as its table is called. */
  what: string;
  /** Its name when it was changed; empty where it has none. */
  about: string;
  kind: 'changed' | 'removed';
  fields: EditedField[];
}
