import { useState } from 'react';
import { NewWebhookDto, WEBHOOK_EVENTS, type WebhookEvent } from '@vendu/contract';
import { troubleOf } from '../api/problem';
import { useMakeWebhookMutation } from '../api/webhooksApi';
import { Button } from '../ui/Button';
import { Field, INPUT } from '../ui/Field';
import { TroubleNotice } from '../ui/Notice';
import { Toggles } from '../ui/Toggles';
import { EVENT_WORDS } from './eventWords';
import { ShownOnce } from '../ui/ShownOnce';
import { useChecked } from '../ui/useChecked';

const OPTIONS = WEBHOOK_EVENTS.map((value) => ({ value, label: EVENT_WORDS[value] }));

/** Where to, and when; what signatures are checked with is shown once. */
export function NewWebhook() {
  const [name, setName] = useState('');
  const [url, setUrl] = useState('');
  const [events, setEvents] = useState<readonly WebhookEvent[]>(WEBHOOK_EVENTS);
  const [make, { data: made, error, isLoading }] = useMakeWebhookMutation();
  const { faultAt, troubleBelow, submit } = useChecked(
    NewWebhookDto,
    troubleOf(error),
    async (webhook) => (await make(webhook)).data !== undefined,
  );
  const webhook = { name: name.trim(), url: url.trim(), events: [...events] };
  const clear = () => {
    setName('');
    setUrl('');
  };
  const toggle = (event: WebhookEvent) =>
    setEvents(WEBHOOK_EVENTS.filter((each) => events.includes(each) !== (each === event)));
  return (
    <form noValidate onSubmit={(event) => void submit(event, webhook, clear)} className="max-w-[40rem]">
      <div className="grid grid-cols-1 items-start gap-3 sm:grid-cols-[minmax(0,1fr)_minmax(0,2fr)]">
        <Field label="For what" error={faultAt['name']}>
          {(control) => (
            <input
              {...control}
              className={INPUT}
              value={name}
              autoComplete="off"
              placeholder="the lab’s chat"
              onChange={({ target }) => setName(target.value)}
            />
          )}
        </Field>
        <Field label="Address" error={faultAt['url']}>
          {(control) => (
            <input
              {...control}
              type="url"
              className={INPUT}
              value={url}
              autoComplete="off"
              placeholder="https://"
              onChange={({ target }) => setUrl(target.value)}
            />
          )}
        </Field>
      </div>
      <div role="group" aria-label="When" className="mt-3 flex flex-wrap items-center gap-2 text-small">
        <span className="font-medium text-quiet">When</span>
        <Toggles options={OPTIONS} on={events} onToggle={toggle} />
      </div>
      {faultAt['events'] && (
        <p role="alert" className="mt-1 text-tiny font-medium text-alarm">
          {faultAt['events']}
        </p>
      )}
      <Button type="submit" className="mt-3" disabled={isLoading}>
        Tell this address
      </Button>
      <TroubleNotice trouble={troubleBelow} />
      {made && (
        <ShownOnce label={`What “${made.name}” checks signatures with, shown once`} value={made.secret}>
          Signed as the Standard Webhooks specification has it.
        </ShownOnce>
      )}
    </form>
  );
}
