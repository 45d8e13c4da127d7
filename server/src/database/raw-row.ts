/** A JSON column of a plain statement: the driver hands it out as text in some versions of the server. */
export function parsedJson<T>(value: T | string): T {
  return typeof value === 'string' ? (JSON.parse(value) as T) : value;
}

/** A decimal column of a plain statement comes as text. */
export function numberOrNull(value: unknown): number | null {
  return value === null || value === undefined ? null : Number(value);
}
