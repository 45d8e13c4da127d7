/** What a node noted of itself when it stopped. */
export interface NodeState {
  /** The last write that it is sure to have; -1 where it did not stop in good order. */
  seqno: number;
  /** It was the last to stop: none has more than it. */
  isSafeToBegin: boolean;
}

/** Reads `grastate.dat` of a node's data folder, as Galera writes it. */
export function readNodeState(text: string): NodeState {
  const of = (name: string) => new RegExp(String.raw`^${name}:\s*(-?\d+)`, 'm').exec(text)?.[1];
  return { seqno: Number(of('seqno') ?? -1), isSafeToBegin: of('safe_to_bootstrap') === '1' };
}

/** The same file, saying that a cluster may begin with this node. */
export const beginningHere = (text: string) =>
  text.replace(/^safe_to_bootstrap:.*$/m, 'safe_to_bootstrap: 1');

/** Reads what `mariadbd --wsrep-recover` says of the last write that a node has. */
export function readRecovered(log: string): number {
  const [, seqno] = /WSREP: Recovered position: [\w-]+:(-?\d+)/.exec(log) ?? [];
  return Number(seqno ?? -1);
}

/**
 * The node that a cluster begins with, all of whose nodes are down: one that has everything.
 *
 * @param seqnos - of each node the last write that it has; `null` of one that has never been part of the cluster
 * @returns its place
 */
export function whoBegins(seqnos: readonly (number | null)[]): number {
  const known = seqnos.map((seqno) => seqno ?? Number.NEGATIVE_INFINITY);
  return Math.max(0, known.indexOf(Math.max(...known)));
}
