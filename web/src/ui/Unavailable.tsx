import type { Trouble } from '../api/problem';
import { Button, ButtonLink } from './Button';
import { isPassing, useRetry } from './useRetry';

/** In place of a page whose data could not be had: why, and what to do. */
export function Unavailable({ trouble, onRetry }: { trouble: Trouble | null; onRetry: () => void }) {
  useRetry(trouble, onRetry);
  if (trouble === null) return null;
  const isMissing = trouble.kind === 'not-found';
  const owesCode = trouble.kind === 'code-due';
  return (
    <div className="max-w-xl pt-10">
      <h1 className="mb-2 text-title font-bold">{isMissing ? 'Page not found' : 'Not available now'}</h1>
      <p className="mb-4">
        {trouble.detail}
        {isPassing(trouble) && ' This page asks again every few seconds.'}
      </p>
      {isMissing && <ButtonLink to="/lots">All lots</ButtonLink>}
      {/* The bench has no frame around it that would lead there by itself. */}
      {owesCode && <ButtonLink to="/people">Set up a code</ButtonLink>}
      {!isMissing && !owesCode && <Button onClick={onRetry}>Try again</Button>}
    </div>
  );
}
