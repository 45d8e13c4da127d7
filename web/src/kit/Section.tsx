import type { ReactNode } from 'react';

export const anchor = (title: string) => title.toLowerCase().replace(/\s/g, '-');

/** One kind of kit under its heading, with the way to add to it. */
export function Section({ title, add, children }: { title: string; add?: ReactNode; children: ReactNode }) {
  return (
    <section id={anchor(title)} className="scroll-mt-4">
      <div className="mb-3 flex items-end border-b border-ink pb-1">
        <h2 className="grow text-small font-[650]">{title}</h2>
        {add}
      </div>
      {children}
    </section>
  );
}

/** What goes there, where nothing is yet. */
export function Empty({ children }: { children: ReactNode }) {
  return <p className="text-small text-quiet">{children}</p>;
}

/** One thing of a kind that takes a line. */
export function Row({ name, action, children }: { name: string; action: ReactNode; children: ReactNode }) {
  return (
    <li className="flex items-center gap-4 border-b border-rule py-1.5 text-small">
      <span className="grow">
        <span className="text-body font-semibold">{name}</span>
        <span className="block text-quiet">{children}</span>
      </span>
      {action}
    </li>
  );
}
