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
        'flex h-12 items-center gap-2 rounded-edge border px-4 font-semibold whitespace-nowrap disabled:opacity-40',
        main
          ? 'min-w-64 justify-center border-ink bg-ink text-large text-sheet'
          : 'border-edge bg-raised text-ink',
        className,
      )}
      {...rest}
    >
      {children}
      {shortcut && <KeyHint name={shortcut} />}
    </button>
  );
}
