import type { OperationsView } from '@vendu/contract';

/**
 * How many nodes of a cluster there are.
 *
 * @param address - where its nodes are found, as MariaDB has it in `wsrep_cluster_address`; empty where there is none
 * @param size - nodes that are together now, as in `wsrep_cluster_size`
 */
export function nodesOf(address: string | null, size: string | null): OperationsView['database']['nodes'] {
  const [, named = ''] = /^gcomm:\/\/([^?]*)/.exec(address ?? '') ?? [];
  const of = named.split(',').filter((each) => each !== '').length;
  return of === 0 ? null : { running: Number(size ?? 0), of };
}
