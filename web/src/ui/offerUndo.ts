import type { SerializedError } from '@reduxjs/toolkit';
import type { FetchBaseQueryError } from '@reduxjs/toolkit/query';
import { toast } from 'sonner';
import { troubleOf } from '../api/problem';

/** Says what was done and offers to take it back. In place of asking beforehand. */
export function offerUndo(done: string, undo: () => void): void {
  toast(done, { action: { label: 'Undo', onClick: undo } });
}

/** Waits for what was asked of the server, then offers its undo; what failed is said, never called done. */
export async function offerUndoOf(
  asked: Promise<{ error?: FetchBaseQueryError | SerializedError }>,
  done: string,
  undo: () => void,
): Promise<void> {
  const trouble = troubleOf((await asked).error);
  if (trouble === null) offerUndo(done, undo);
  else toast(trouble.detail);
}
