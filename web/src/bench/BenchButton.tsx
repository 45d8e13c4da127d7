import type { ButtonHTMLAttributes } from 'react';
import { KeyHint } from '../ui/Button';
import { classes } from '../ui/classes';

/** A target for wet hands: 48 px high, its key beside the words. */
export function BenchButton({
  main,
  shortcut,
  children,
  className,
  ...rest
}: { main?: boolean; shortcut?: string } & ButtonHTMLAttributes<HTMLButtonElement>) {
  return (
    <button
      type="button"
      className={classes(
        'flex h-12 items-center justify-center gap-2 rounded-edge border px-2 font-semibold sm:px-4 whitespace-nowrap disabled:opacity-40',
        main
          ? 'border-ink max-sm:col-span-full sm:min-w-64 bg-ink text-large text-sheet'
          : 'border-edge bg-raised text-ink',
        className,
      )}
      {...rest}
    >
      {children}
      {shortcut && (
        // A phone has no keys to hint at, and no room.
        <span className="max-sm:hidden">
          <KeyHint name={shortcut} />
        </span>
      )}
    </button>
  );
}
