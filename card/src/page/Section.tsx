import type { ReactNode } from 'react';

export function Section({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section>
      <h2 className="heading mb-2 print:mb-1">{title}</h2>
      <div className="flex flex-col gap-1.5 print:gap-0.5">{children}</div>
    </section>
  );
}
