import { skipToken } from '@reduxjs/toolkit/query';
import { findingsOf, type FoundIn } from '@vendu/core';
import type { BrewListItem } from '@vendu/contract';
import { useBrewQuery } from '../api/brewsApi';

/** What the record of a recipe's last real brew says against its aim. */
export function useFound(brews: readonly BrewListItem[]): {
  last: BrewListItem | undefined;
  found: FoundIn[];
  /** Sheets of others that wait for one's own: what they say is not among it yet. */
  sealedCount: number;
  /** Its record is there, or cannot be had. */
  isRead: boolean;
} {
  const last = brews.findLast(({ isSimulated }) => !isSimulated);
  const { data: record, isLoading } = useBrewQuery(last?.id ?? skipToken);
  const sealedCount = Object.values(record?.sealedSheets ?? {}).reduce((sum, count) => sum + count, 0);
  return { last, found: record ? findingsOf(record) : [], sealedCount, isRead: !isLoading };
}
