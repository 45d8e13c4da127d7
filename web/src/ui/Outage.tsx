import type { Trouble } from '../api/problem';
import { Button } from './Button';
import { Mark } from './Mark';
import { useRetry } from './useRetry';

/** In place of everything while nobody can say who is signed in: what is the matter, and that it passes. */
export function Outage({ trouble, onRetry }: { trouble: Trouble; onRetry: () => void }) {
  useRetry(trouble, onRetry);
  return (
    <main className="mx-auto flex min-h-dvh max-w-2xl flex-col justify-center gap-5 p-8">
      <p className="flex items-center gap-3 text-title font-bold">
        <Mark height={26} />
        Vendu
      </p>
      <h1 className="text-[2rem] leading-tight font-bold">
        {trouble.kind === 'no-answer' ? 'The server does not answer' : 'The database does not answer'}
      </h1>
      <p role="status" className="text-large">
        Vendu tries again every few seconds and carries on by itself.
      </p>
      <p className="text-quiet">
        Running brews and anything typed are kept on this device. If this lasts, tell whoever looks after the
        lab’s server.
      </p>
      <Button className="self-start" onClick={onRetry}>
        Try now
      </Button>
    </main>
  );
}
