import {
  useEndOtherSessionsMutation,
  useEndSessionMutation,
  useOpenSessionsQuery,
} from '../session/sessionApi';
import { troubleOf } from '../api/problem';
import { Button } from '../ui/Button';
import { dayAndTimeOf } from '../ui/dates';
import { TroubleNotice } from '../ui/Notice';

/** Where one is signed in: a tablet that was left behind is signed out from here. */
export function OpenSessions() {
  const { data: sessions, error } = useOpenSessionsQuery();
  const [end, ending] = useEndSessionMutation();
  const [endOthers, endingOthers] = useEndOtherSessionsMutation();
  const isBusy = ending.isLoading || endingOthers.isLoading;
  return (
    <section aria-labelledby="open-sessions">
      <h2 id="open-sessions" className="heading mb-1">
        Where you are signed in
      </h2>
      <ul>
        {sessions?.map(({ key, device, begunAt, usedAt, isThis }) => (
          <li key={key} className="flex items-center gap-3 border-b border-rule py-2">
            <div className="min-w-0 grow">
              <p className="break-words">
                {device === '' ? 'a device' : device}
                {isThis && <span className="font-semibold">, this one</span>}
              </p>
              <p className="caption">
                since {dayAndTimeOf(begunAt)}
                {!isThis && `, used ${dayAndTimeOf(usedAt)}`}
              </p>
            </div>
            {!isThis && (
              <Button
                weight="quiet"
                disabled={isBusy}
                aria-label={`Sign out on ${device === '' ? 'a device' : device}, since ${dayAndTimeOf(begunAt)}`}
                onClick={() => void end(key)}
              >
                Sign out
              </Button>
            )}
          </li>
        ))}
      </ul>
      {sessions && sessions.length > 2 && (
        <Button className="mt-3" disabled={isBusy} onClick={() => void endOthers()}>
          Sign out everywhere else
        </Button>
      )}
      <TroubleNotice trouble={troubleOf(error) ?? troubleOf(ending.error) ?? troubleOf(endingOthers.error)} />
    </section>
  );
}
