import type { ReactNode } from 'react';
import { INPUT } from './Field';

/** A secret to be taken along now: it is not told again. */
export function ShownOnce({ label, value, children }: { label: string; value: string; children: ReactNode }) {
  return (
    <div className="mt-4 border-l-2 border-ink pl-4">
      <label className="block text-small font-medium">
        {label}
        <input
          readOnly
          className={`${INPUT} reading mt-1`}
          value={value}
          onFocus={({ target }) => target.select()}
        />
      </label>
      <p className="caption mt-2 break-all">{children}</p>
    </div>
  );
}
