import type { SerializedError } from '@reduxjs/toolkit';
import type { FetchBaseQueryError } from '@reduxjs/toolkit/query';
import { toast } from 'sonner';
import { troubleOf } from '../api/problem';

/** Says what was done and offers to take it back. In place of asking beforehand. */
export function offerUndo(done: string, undo: () => void): void {
  toast(done, { action: { label: 'Undo', onClick: undo } });
}

/** What the server answered to a change. */
type Asked<T> = Promise<{ data?: T; error?: FetchBaseQueryError | SerializedError }>;

/** Waits for what was asked of the server, then offers its undo; what failed is said, never called done. */
export async function offerUndoOf<T>(asked: Asked<T>, done: string, undo: (after: T) => void): Promise<void> {
  const { data, error } = await asked;
  const trouble = troubleOf(error);
  if (trouble === null) offerUndo(done, () => undo(data as T));
  else toast(trouble.detail);
}
