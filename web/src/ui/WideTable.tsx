import type { ReactNode } from 'react';

/** A table that needs more room than a phone has: there it is moved sideways in its own frame, never the page. */
export function WideTable({ children }: { children: ReactNode }) {
  return <div className="max-lg:overflow-x-auto">{children}</div>;
}
