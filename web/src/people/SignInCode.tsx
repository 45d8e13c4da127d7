import { useState, type ReactNode } from 'react';
import { toast } from 'sonner';
import { BeginSecondFactorDto, SecondFactorCodeDto } from '@vendu/contract';
import {
  useBeginSecondFactorMutation,
  useEndSecondFactorMutation,
  useProveSecondFactorMutation,
  useSecondFactorQuery,
} from '../api/peopleApi';
import { troubleOf, type Trouble } from '../api/problem';
import { Button } from '../ui/Button';
import { dayOf } from '../ui/dates';
import { TroubleNotice } from '../ui/Notice';
import { TextField } from '../ui/TextField';
import { useChecked } from '../ui/useChecked';
import { RecoveryCodes } from './RecoveryCodes';

/** A code from an app on one's phone, asked for besides the password: set up, and ended. */
export function SignInCode() {
  const { data: factor, error } = useSecondFactorQuery();
  const [codes, setCodes] = useState<readonly string[] | null>(null);
  return (
    <section aria-labelledby="sign-in-code">
      <h2 id="sign-in-code" className="heading mb-1">
        Code at sign-in
      </h2>
      {factor?.since === null && <SetUpCode onProved={setCodes} />}
      {factor?.since && (
        <>
          {codes && <RecoveryCodes codes={codes} onTaken={() => setCodes(null)} />}
          <End since={factor.since} codesLeft={factor.codesLeft} />
        </>
      )}
      <TroubleNotice trouble={troubleOf(error)} />
    </section>
  );
}

export function SetUpCode({ onProved }: { onProved: (codes: readonly string[]) => void }) {
  const [begin, begun] = useBeginSecondFactorMutation();
  const [present, setPresent] = useState('');
  const { faultAt, troubleBelow, submit } = useChecked(
    BeginSecondFactorDto,
    troubleOf(begun.error),
    async (typed) => !(await begin(typed)).error,
  );
  if (begun.data) {
    return <Prove secret={begun.data.secret} picture={begun.data.picture} onProved={onProved} />;
  }
  return (
    <form noValidate onSubmit={(event) => void submit(event, { present }, () => setPresent(''))}>
      <p className="caption mb-3">
        An app on your phone shows a code that is asked for besides the password. Who learns your password
        still cannot get in.
      </p>
      <TextField
        label="Present password, for the code"
        error={faultAt['present']}
        type="password"
        autoComplete="current-password"
        value={present}
        onChange={setPresent}
      />
      <Button type="submit" className="mt-3" disabled={begun.isLoading}>
        Set it up
      </Button>
      <TroubleNotice trouble={troubleBelow} />
    </form>
  );
}

function Prove({
  secret,
  picture,
  onProved,
}: {
  secret: string;
  picture: string;
  onProved: (codes: readonly string[]) => void;
}) {
  const [prove, { error, isLoading }] = useProveSecondFactorMutation();
  return (
    <CodeForm
      label="Code that the app shows"
      press="Save"
      trouble={troubleOf(error)}
      isBusy={isLoading}
      send={async (typed) => {
        const { data } = await prove(typed);
        if (data) onProved(data.codes);
        return data !== undefined;
      }}
      done={() => toast('A code is asked for from now on; everywhere else you are signed out')}
    >
      <p className="caption mb-3">Open the app for codes on your phone and have it look at this.</p>
      <img src={picture} alt="The code of squares for the app" className="mb-3 size-44 bg-white" />
      <p className="caption mb-3">
        Or type it in there: <span className="reading text-ink select-all">{inFours(secret)}</span>
      </p>
    </CodeForm>
  );
}

function End({ since, codesLeft }: { since: string; codesLeft: number }) {
  const [end, { error, isLoading }] = useEndSecondFactorMutation();
  const [isEnding, setEnding] = useState(false);
  return (
    <>
      <p className="mt-2 mb-3">
        Asked for since {dayOf(since)}.{' '}
        <span className="caption block">
          {codesLeft === 0 ? 'No code' : codesLeft === 1 ? 'One code' : `${codesLeft} codes`} left for when
          the phone is lost.{codesLeft < FEW && ' End it and set it up again for new ones.'}
        </span>
      </p>
      {isEnding ? (
        <CodeForm
          label="Code, to end it"
          press="Ask for no code"
          trouble={troubleOf(error)}
          isBusy={isLoading}
          send={async (typed) => !(await end(typed)).error}
          done={() => toast('Your password alone is asked for from now on')}
        />
      ) : (
        <Button onClick={() => setEnding(true)}>End it</Button>
      )}
    </>
  );
}

/** So few that the next lost phone may lock somebody out. */
const FEW = 3;

function CodeForm({
  label,
  press,
  trouble,
  isBusy,
  send,
  done,
  children,
}: {
  label: string;
  press: string;
  trouble: Trouble | null;
  isBusy: boolean;
  send: (typed: SecondFactorCodeDto) => Promise<boolean>;
  done: () => void;
  children?: ReactNode;
}) {
  const [code, setCode] = useState('');
  const { faultAt, troubleBelow, submit } = useChecked(SecondFactorCodeDto, trouble, send);
  return (
    <form noValidate onSubmit={(event) => void submit(event, { code }, done)}>
      {children}
      <TextField
        label={label}
        error={faultAt['code']}
        autoComplete="one-time-code"
        takesFocus
        value={code}
        onChange={setCode}
      />
      <Button type="submit" className="mt-3" disabled={isBusy}>
        {press}
      </Button>
      <TroubleNotice trouble={troubleBelow} />
    </form>
  );
}

/** As one reads it out. */
const inFours = (secret: string) => secret.replace(/(.{4})(?=.)/g, '$1 ');
