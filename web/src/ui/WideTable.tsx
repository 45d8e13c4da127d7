import type { ReactNode } from 'react';

/**
 * A table that needs more room than a phone has: there it is moved sideways in its own frame, never the page. What is only
 * for a reader's ear hangs on that frame too, or it would widen the page from outside.
 */
export function WideTable({ children }: { children: ReactNode }) {
  return <div className="relative max-lg:overflow-x-auto">{children}</div>;
}
