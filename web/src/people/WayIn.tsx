import { INVITATION_DAYS, type InvitedView } from '@vendu/contract';
import { Notice } from '../ui/Notice';
import { ShownOnce } from '../ui/ShownOnce';

/** The way in for somebody, to be handed over now. */
export function WayIn({ invited: { name, path, email, isSent, hasCode } }: { invited: InvitedView }) {
  return (
    <>
      {isSent === true && (
        <Notice>Sent to {email}. Should it not come, this is the same way in, to be handed over.</Notice>
      )}
      {isSent === false && (
        <Notice tone="alarm">
          The mail server did not take the letter to {email}. Hand the way in over yourself.
        </Notice>
      )}
      <ShownOnce label={`The way in for ${name}, shown once`} value={`${window.location.origin}${path}`}>
        Good once, for {INVITATION_DAYS} days. Give it to nobody else: whoever opens it first chooses the
        password.{hasCode && ' The code at sign-in ends with it, and is set up again.'}
      </ShownOnce>
    </>
  );
}
