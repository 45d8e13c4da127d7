import { TriangleAlert } from 'lucide-react';
import type { ReactNode } from 'react';
import type { Trouble } from '../api/problem';
import { classes } from './classes';

/** Something to know before going on; `alarm` for what must not be overlooked. */
export function Notice({ tone = 'note', children }: { tone?: 'note' | 'alarm'; children: ReactNode }) {
  return (
    <div
      role={tone === 'alarm' ? 'alert' : 'note'}
      className={classes(
        'flex gap-2 border-l-2 py-1 pl-3 text-small',
        tone === 'alarm' ? 'border-alarm text-alarm' : 'border-edge text-quiet',
      )}
    >
      {tone === 'alarm' && <TriangleAlert aria-hidden size={16} className="mt-0.5 shrink-0" />}
      <div>{children}</div>
    </div>
  );
}

export function TroubleNotice({ trouble }: { trouble: Trouble | null }) {
  return trouble && <Notice tone="alarm">{trouble.detail}</Notice>;
}
