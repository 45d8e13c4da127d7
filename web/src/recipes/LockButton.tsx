import { Lock, LockOpen } from 'lucide-react';
import { classes } from '../ui/classes';

/** Holds a figure as it is while others move. */
export function LockButton({
  label,
  isLocked,
  onToggle,
}: {
  label: string;
  isLocked: boolean;
  onToggle: () => void;
}) {
  return (
    <button
      type="button"
      aria-pressed={isLocked}
      aria-label={`Lock the ${label}`}
      title={isLocked ? `The ${label} stays` : `Lock the ${label}`}
      onClick={onToggle}
      className={classes(
        'flex h-9 w-7 items-center justify-center rounded-edge',
        isLocked ? 'bg-ink text-sheet' : 'text-quiet hover:bg-wash hover:text-ink',
      )}
    >
      {isLocked ? <Lock aria-hidden size={14} /> : <LockOpen aria-hidden size={14} />}
    </button>
  );
}
