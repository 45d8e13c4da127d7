import type { ComponentProps } from 'react';
import { Link, type LinkProps } from 'react-router';
import { classes } from './classes';

type Weight = 'main' | 'plain' | 'quiet';

const BASE =
  'inline-flex items-center justify-center gap-2 rounded-edge border px-3 h-9 text-small font-semibold whitespace-nowrap disabled:opacity-50';
const WEIGHT: Record<Weight, string> = {
  main: 'bg-ink text-sheet border-ink hover:bg-time',
  plain: 'bg-raised text-ink border-edge hover:border-ink',
  quiet: 'border-transparent text-quiet hover:text-ink hover:bg-wash',
};

interface Common {
  weight?: Weight;
  /** The key that does the same; shown beside the words. */
  shortcut?: string;
}

export function Button({
  weight = 'plain',
  shortcut,
  className,
  children,
  ...rest
}: Common & ComponentProps<'button'>) {
  return (
    <button type="button" className={classes(BASE, WEIGHT[weight], className)} {...rest}>
      {children}
      {shortcut && <KeyHint name={shortcut} />}
    </button>
  );
}

export function ButtonLink({ weight = 'plain', shortcut, className, children, ...rest }: Common & LinkProps) {
  return (
    <Link className={classes(BASE, WEIGHT[weight], className)} {...rest}>
      {children}
      {shortcut && <KeyHint name={shortcut} />}
    </Link>
  );
}

export function KeyHint({ name }: { name: string }) {
  return (
    <kbd
      aria-hidden
      className="reading rounded-edge border border-current px-1 text-[0.6875rem] leading-4 opacity-70"
    >
      {name}
    </kbd>
  );
}
