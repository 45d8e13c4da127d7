/** Rows in one statement. */
const AT_ONCE = 200;

export function* chunks<T>(all: readonly T[]): Generator<T[]> {
  for (let from = 0; from < all.length; from += AT_ONCE) yield all.slice(from, from + AT_ONCE);
}
