import { useState } from 'react';
import { addDays, formatISO } from 'date-fns';
import { NewTokenDto, TOKEN_RIGHTS, type TokenRight } from '@vendu/contract';
import { troubleOf } from '../api/problem';
import { useMakeTokenMutation } from '../api/tokensApi';
import { Button } from '../ui/Button';
import { Field, INPUT } from '../ui/Field';
import { TroubleNotice } from '../ui/Notice';
import { RIGHT_WORDS } from './rightWords';
import { ShownOnce } from '../ui/ShownOnce';
import { useChecked } from '../ui/useChecked';

/** Long enough for a season's work, short enough that a forgotten one ends. */
const USUAL_DAYS = 90;
const usualEnd = () => formatISO(addDays(new Date(), USUAL_DAYS), { representation: 'date' });

/** What a token is for, what it may, and how long; its text is shown once. */
export function NewToken() {
  const [name, setName] = useState('');
  const [right, setRight] = useState<TokenRight>('read');
  const [endsOn, setEndsOn] = useState(usualEnd);
  const [make, { data: made, error, isLoading }] = useMakeTokenMutation();
  const { faultAt, troubleBelow, submit } = useChecked(
    NewTokenDto,
    troubleOf(error),
    async (token) => (await make(token)).data !== undefined,
  );
  const token = { name: name.trim(), right, endsOn };
  return (
    <form
      noValidate
      onSubmit={(event) => void submit(event, token, () => setName(''))}
      className="max-w-[40rem]"
    >
      <div className="grid grid-cols-1 items-start gap-3 sm:grid-cols-[minmax(0,1fr)_minmax(0,1fr)_9rem]">
        <Field label="For what" error={faultAt['name']}>
          {(control) => (
            <input
              {...control}
              className={INPUT}
              value={name}
              autoComplete="off"
              placeholder="backup at night"
              onChange={({ target }) => setName(target.value)}
            />
          )}
        </Field>
        <Field label="It may" error={faultAt['right']}>
          {(control) => (
            <select
              {...control}
              className={INPUT}
              value={right}
              onChange={({ target }) => setRight(target.value as TokenRight)}
            >
              {TOKEN_RIGHTS.map((each) => (
                <option key={each} value={each}>
                  {RIGHT_WORDS[each]}
                </option>
              ))}
            </select>
          )}
        </Field>
        <Field label="Last day" error={faultAt['endsOn']}>
          {(control) => (
            <input
              {...control}
              type="date"
              className={INPUT}
              value={endsOn}
              onChange={({ target }) => setEndsOn(target.value)}
            />
          )}
        </Field>
      </div>
      <Button type="submit" className="mt-3" disabled={isLoading}>
        Make a token
      </Button>
      <TroubleNotice trouble={troubleBelow} />
      {made && (
        <ShownOnce label={`The token for “${made.name}”, shown once`} value={made.token}>
          <span className="reading">
            curl -H &quot;Authorization: Bearer {made.token.slice(0, 10)}…&quot; {window.location.origin}
            /api/lots
          </span>
        </ShownOnce>
      )}
    </form>
  );
}
