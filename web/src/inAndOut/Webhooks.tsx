import type { WebhookDelivery, WebhookView } from '@vendu/contract';
import { troubleOf } from '../api/problem';
import { useSetWebhookEndedMutation, useTellAgainMutation, useWebhooksQuery } from '../api/webhooksApi';
import { Button } from '../ui/Button';
import { classes } from '../ui/classes';
import { dayAndTimeOf } from '../ui/dates';
import { Fold } from '../ui/Fold';
import { Loading } from '../ui/Loading';
import { listed } from '../ui/listed';
import { offerUndoOf } from '../ui/offerUndo';
import { Unavailable } from '../ui/Unavailable';
import { EVENT_WORDS, STATE_WORDS } from './eventWords';
import { NewWebhook } from './NewWebhook';

/** Looked at while something is still to be told, ms. */
const LOOKS_AGAIN_MS = 3000;

/** Addresses of other programs that are told what happens here, with what each was told. */
export function Webhooks() {
  const {
    data: hooks,
    error,
    isLoading,
    refetch,
  } = useWebhooksQuery(undefined, {
    pollingInterval: LOOKS_AGAIN_MS,
    skipPollingIfUnfocused: true,
  });
  return (
    <section className="min-w-0">
      <h2 className="heading mb-2">Told elsewhere</h2>
      <p className="mb-4 max-w-[40rem] text-small text-quiet">
        A program of yours at an address of the web, a chat for one, is told at once, signed, and again for
        three days until it answers.
      </p>
      {isLoading && <Loading />}
      {error && <Unavailable trouble={troubleOf(error)} onRetry={() => void refetch()} />}
      {hooks && hooks.length > 0 && (
        <ul className="mb-5 border-t border-ink">
          {hooks.map((hook) => (
            <Webhook key={hook.id} hook={hook} />
          ))}
        </ul>
      )}
      <NewWebhook />
    </section>
  );
}

function Webhook({ hook: { id, name, url, events, isEnded, deliveries } }: { hook: WebhookView }) {
  const [setEnded, { isLoading }] = useSetWebhookEndedMutation();
  const end = () =>
    void offerUndoOf(
      setEnded({ id, isEnded: true }),
      `“${name}” is told nothing any more`,
      () => void setEnded({ id, isEnded: false }),
    );
  const [last] = deliveries;
  return (
    <li className="border-b border-rule py-2">
      <div className="flex flex-wrap items-center gap-x-4">
        <div className="min-w-0 grow">
          <p className={classes('font-semibold break-words', isEnded && 'text-quiet line-through')}>{name}</p>
          <p className="caption break-all">
            {url}; when {listed(events.map((event) => EVENT_WORDS[event]))}
          </p>
        </div>
        {!isEnded && (
          <Button weight="quiet" disabled={isLoading} aria-label={`End ${name}`} onClick={end}>
            End it
          </Button>
        )}
      </div>
      {last === undefined ? (
        <p className="caption">Told nothing yet.</p>
      ) : (
        <Fold summary={`Last: ${STATE_WORDS[last.state]}, ${dayAndTimeOf(last.createdAt)}`}>
          <ul>
            {deliveries.map((delivery) => (
              <Delivery key={delivery.id} delivery={delivery} />
            ))}
          </ul>
        </Fold>
      )}
    </li>
  );
}

function Delivery({
  delivery: { id, event, about, createdAt, tries, state, answer },
}: {
  delivery: WebhookDelivery;
}) {
  const [tellAgain, { isLoading }] = useTellAgainMutation();
  return (
    <li className="flex flex-wrap items-center gap-x-4 py-1 text-small">
      <span className="reading">{dayAndTimeOf(createdAt)}</span>
      <span className="grow">
        {about}: {event}
      </span>
      <span className={classes(state !== 'told' && 'text-alarm')}>
        {STATE_WORDS[state]}
        {answer !== '' && `, ${answer}`}
        {tries > 1 && `, ${tries} tries`}
      </span>
      {state !== 'told' && (
        <Button weight="quiet" disabled={isLoading} onClick={() => void tellAgain(id)}>
          Tell it now
        </Button>
      )}
    </li>
  );
}
