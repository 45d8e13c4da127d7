import { useState, type SubmitEvent } from 'react';
import { Navigate, useLocation } from 'react-router';
import type { BrewPlan } from '@vendu/core';
import type { DemoAccount, SignInDto } from '@vendu/contract';
import { byField, troubleOf } from '../api/problem';
import { Mark } from '../ui/Mark';
import { Outage } from '../ui/Outage';
import { Staircase } from '@vendu/card';
import { Button } from '../ui/Button';
import { TroubleNotice } from '../ui/Notice';
import { TextField } from '../ui/TextField';
import { ROLE_WORDS } from '../ui/words';
import { useSessionQuery, useSignInMutation } from './sessionApi';

/** A drawing for the wall: what the product's face looks like. No recipe of any lot. */
const DRAWING: BrewPlan = {
  doseG: 20,
  kettleC: 92,
  grindUm: 800,
  drawdownS: 190,
  pours: [
    { startS: 0, amountG: 60, flowGps: 6, agitation: 'swirl', isBloom: true },
    { startS: 45, amountG: 120, flowGps: 6, agitation: 'none', isBloom: false },
    { startS: 90, amountG: 130, flowGps: 6, agitation: 'none', isBloom: false },
  ],
};

export function SignInPage() {
  const { data: session, error: sessionError, refetch } = useSessionQuery();
  const [signIn, { error, isLoading }] = useSignInMutation();
  const [email, setEmail] = useState('');
  const [password, setPassword] = useState('');
  const [code, setCode] = useState('');
  // Whom the code is asked of: another e-mail begins anew.
  const [asksOf, setAsksOf] = useState<string | null>(null);
  const location = useLocation();
  const from = (location.state as { from?: string } | null)?.from ?? '/today';
  if (session?.person) return <Navigate to={from} replace />;
  const outage = session ? null : troubleOf(sessionError);
  if (outage) return <Outage trouble={outage} onRetry={() => void refetch()} />;

  const trouble = troubleOf(error);
  const errors = byField(trouble?.errors ?? []);
  // That a code is asked for is no fault: the field says it.
  const isFirstAsked = trouble?.kind === 'code-needed';
  const enter = (by: SignInDto) =>
    void signIn(by).then(({ error: refused }) => {
      if (troubleOf(refused)?.kind === 'code-needed') setAsksOf(by.email);
    });
  const submit = (event: SubmitEvent) => {
    event.preventDefault();
    enter({ email, password, ...(asksOf === email ? { code } : {}) });
  };
  const enterAs = (account: DemoAccount) => {
    setEmail(account.email);
    setPassword(account.password);
    enter({ email: account.email, password: account.password });
  };
  return (
    <main className="grid min-h-dvh lg:grid-cols-[1.25fr_1fr]">
      <section className="hidden flex-col justify-between border-r border-ink bg-raised p-12 lg:flex">
        <h1 className="flex items-center gap-3 text-[2.5rem] leading-none font-bold tracking-tight">
          <Mark height={34} />
          Vendu
        </h1>
        <Staircase plan={DRAWING} width={620} height={340} label="A staircase of water against time" />
        <p className="max-w-md text-large">
          From a new lot to a recipe that other people can repeat, in fewer brews.
        </p>
      </section>
      <section className="flex flex-col justify-center gap-8 p-8 lg:p-16">
        <form onSubmit={submit} noValidate className="flex max-w-sm flex-col gap-4">
          <h2 className="text-title font-bold">Sign in</h2>
          <TextField
            label="E-mail"
            error={errors['email']}
            type="email"
            autoComplete="username"
            value={email}
            onChange={setEmail}
          />
          <TextField
            label="Password"
            error={errors['password']}
            type="password"
            autoComplete="current-password"
            value={password}
            onChange={setPassword}
          />
          {asksOf === email && (
            <TextField
              label="Code"
              error={errors['code']}
              autoComplete="one-time-code"
              hint="Of the app on your phone, or one for when it is lost."
              takesFocus
              value={code}
              onChange={setCode}
            />
          )}
          {trouble && trouble.errors.length === 0 && !isFirstAsked && <TroubleNotice trouble={trouble} />}
          <Button type="submit" weight="main" disabled={isLoading} className="h-11">
            Sign in
          </Button>
        </form>
        {session && session.demoAccounts.length > 0 && (
          <div className="max-w-sm">
            <h2 className="heading mb-1">Invented people of the demo</h2>
            <ul>
              {session.demoAccounts.map((account) => (
                <li key={account.email} className="border-b border-rule">
                  <button
                    type="button"
                    className="flex w-full items-baseline gap-3 py-2 text-left text-small hover:bg-wash"
                    onClick={() => enterAs(account)}
                  >
                    <span className="font-semibold">{account.name}</span>
                    <span className="text-quiet">
                      {ROLE_WORDS[account.role]}
                      {account.role === 'lead' && ', signs off and publishes'}
                      {account.role === 'admin' && ', looks after the lab'}
                    </span>
                    <span className="ml-auto underline">Sign in</span>
                  </button>
                </li>
              ))}
            </ul>
          </div>
        )}
      </section>
    </main>
  );
}
