import { useState, type ReactNode } from 'react';
import { Link, useLocation } from 'react-router';
import type { CodeDueView } from '@vendu/contract';
import { dayAndTimeOf } from '../ui/dates';
import { RecoveryCodes } from './RecoveryCodes';
import { SetUpCode } from './SignInCode';

/** What lies behind a code at sign-in that the lab asks for: told of while there is time, and then asked for first. */
export function CodeGate({ due, children }: { due: CodeDueView | null; children: ReactNode }) {
  const [codes, setCodes] = useState<readonly string[] | null>(null);
  const { pathname } = useLocation();
  if (due?.isNow || codes) {
    return (
      <div className="max-w-md">
        <h1 className="mb-2 text-title font-bold">A code at sign-in first</h1>
        {codes ? (
          <RecoveryCodes codes={codes} onTaken={() => setCodes(null)} />
        ) : (
          <>
            <p className="mb-5">
              Your lab asks for one. The rest opens once it is set up; what you typed or brewed stays on this
              device until then.
            </p>
            <SetUpCode onProved={setCodes} />
          </>
        )}
      </div>
    );
  }
  return (
    <>
      {due && (
        <p role="note" className="mb-5 border-l-2 border-ink py-1 pl-3 text-small">
          From <span className="reading">{dayAndTimeOf(due.from)}</span> your lab asks you for a code at
          sign-in.{' '}
          {pathname === '/people' ? (
            <a href="#sign-in-code" className="underline underline-offset-3">
              Set it up
            </a>
          ) : (
            <Link to="/people#sign-in-code" className="inline-block min-h-6 underline underline-offset-3">
              Set it up
            </Link>
          )}
        </p>
      )}
      {children}
    </>
  );
}
