import { Link, NavLink, Navigate, Outlet, useLocation } from 'react-router';
import { Suspense } from 'react';
import type { Role } from '@vendu/core';
import { OWN_PLACES } from '../session/roles';
import { useSessionQuery, useSignOutMutation } from '../session/sessionApi';
import { Button } from '../ui/Button';
import { classes } from '../ui/classes';
import { RunningStrip } from '../bench/RunningStrip';
import { CodeGate } from '../people/CodeGate';
import { Loading } from '../ui/Loading';
import { troubleOf } from '../api/problem';
import { Mark } from '../ui/Mark';
import { Outage } from '../ui/Outage';
import { ROLE_WORDS } from '../ui/words';
import { ThemeChoice } from '../device/ThemeChoice';

/** The sheet that every signed-in page lies on: name and places above, a graduation under them. */
export function Frame() {
  const { data: session, error, isLoading, refetch } = useSessionQuery();
  const { pathname, search } = useLocation();
  if (isLoading) return <Loading />;
  const trouble = troubleOf(error);
  if (!session && trouble) return <Outage trouble={trouble} onRetry={() => void refetch()} />;
  if (!session?.person) return <Navigate to="/sign-in" state={{ from: pathname + search }} replace />;
  const { name, role, codeDue } = session.person;
  const own = OWN_PLACES[role];
  if (own && !own.places.test(pathname)) return <Navigate to={own.home} replace />;
  return (
    <div className="flex min-h-dvh flex-col">
      <a href="#content" className="sr-only focus:not-sr-only">
        Skip to the page
      </a>
      {!own && <RunningStrip />}
      <header className="flex min-h-12 flex-wrap items-center gap-x-8 px-4 sm:px-6">
        <Link to="/" className="flex items-center gap-2 text-large font-bold tracking-tight">
          <Mark />
          Vendu
        </Link>
        {!codeDue?.isNow && (
          <nav
            aria-label="Parts"
            className="order-last -mx-1 flex h-12 w-full overflow-x-auto xl:order-none xl:mx-0 xl:w-auto xl:gap-1"
          >
            <Parts role={role} />
          </nav>
        )}
        <div className="ml-auto flex items-center gap-x-2 text-small">
          <Link
            to="/people"
            className="hidden max-w-56 truncate underline-offset-3 hover:underline min-[420px]:inline"
          >
            {name}
            <span className="hidden text-quiet sm:inline xl:hidden 2xl:inline">, {ROLE_WORDS[role]}</span>
          </Link>
          <ThemeChoice />
          <SignOut />
        </div>
      </header>
      <div aria-hidden className="graduation" />
      <main id="content" className="mx-auto w-full max-w-[1360px] min-w-0 grow px-4 pt-5 pb-16 sm:px-6">
        <Suspense fallback={<Loading />}>
          <CodeGate due={codeDue}>
            <Outlet />
          </CodeGate>
        </Suspense>
      </main>
    </div>
  );
}

function Parts({ role }: { role: Role }) {
  if (role === 'taster') {
    return (
      <Place to="/cups" alsoAt={/^\/brews\//}>
        Cups to taste
      </Place>
    );
  }
  if (role === 'admin') {
    return (
      <>
        <Place to="/people">People</Place>
        <Place to="/operations">How it runs</Place>
        <Place to="/in-and-out">In and out</Place>
      </>
    );
  }
  return (
    <>
      <Place to="/today">Today</Place>
      <Place to="/lots" alsoAt={/^\/(recipes\/\d+(?!\/watch)|brews\/)/}>
        Lots
      </Place>
      <Place to="/compare">Compare</Place>
      <Place to="/watch" alsoAt={/^\/recipes\/\d+\/watch/}>
        Watch
      </Place>
      <Place to="/reports">Reports</Place>
      <Place to="/kit">Kit</Place>
      <Place to="/schools">House style</Place>
      <Place to="/practice">Practice</Place>
      <Place to="/r">Published</Place>
      <Place to="/in-and-out">In and out</Place>
    </>
  );
}

/** `alsoAt` names the pages that lie under a place without sharing its address. */
function Place({ to, alsoAt, children }: { to: string; alsoAt?: RegExp; children: string }) {
  const { pathname } = useLocation();
  const isUnder = alsoAt?.test(pathname) ?? false;
  return (
    <NavLink
      to={to}
      className={({ isActive }) =>
        classes(
          'flex h-full items-center border-b-3 px-3 text-small',
          isActive || isUnder
            ? 'border-ink font-semibold text-ink'
            : 'border-transparent text-quiet hover:text-ink',
        )
      }
    >
      {children}
    </NavLink>
  );
}

function SignOut() {
  const [signOut] = useSignOutMutation();
  return (
    <Button weight="quiet" onClick={() => void signOut()}>
      Sign out
    </Button>
  );
}
