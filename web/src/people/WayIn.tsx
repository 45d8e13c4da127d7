import { INVITATION_DAYS, type InvitedView } from '@vendu/contract';
import { ShownOnce } from '../ui/ShownOnce';

/** The way in for somebody, to be handed over now. */
export function WayIn({ invited: { name, path } }: { invited: InvitedView }) {
  return (
    <ShownOnce label={`The way in for ${name}, shown once`} value={`${window.location.origin}${path}`}>
      Good once, for {INVITATION_DAYS} days. Give it to nobody else: whoever opens it first chooses the
      password.
    </ShownOnce>
  );
}
