/** A computed value. */
export interface Success<V> {
  readonly ok: true;
  readonly value: V;
}

/** An expected failure: a reason from a closed set, and a sentence a barista can act on. */
export interface Failure<R extends string = string> {
  readonly ok: false;
  readonly reason: R;
  readonly message: string;
}

/** What every function returns that can fail on input a person may well give, in the ways named. Defects throw instead. */
export type Result<V, E extends Failure = Failure> = Success<V> | E;

export function success<V>(value: V): Success<V> {
  return { ok: true, value };
}

export function failure<R extends string>(reason: R, message: string): Failure<R> {
  return { ok: false, reason, message };
}

/**
 * The value of a result that cannot have failed, because its input was checked before.
 *
 * @throws Error when it failed after all: a defect, not an expected failure
 */
export function valueOf<V>(result: Result<V>): V {
  if (result.ok) return result.value;
  throw new Error(`unexpected ${result.reason}: ${result.message}`);
}
