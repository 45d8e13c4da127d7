import { toast } from 'sonner';

/** Says what was done and offers to take it back. In place of asking beforehand. */
export function offerUndo(done: string, undo: () => void): void {
  toast(done, { action: { label: 'Undo', onClick: undo } });
}
