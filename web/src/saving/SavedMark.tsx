import { format } from 'date-fns';
import { Button } from '../ui/Button';
import type { Saved } from './useSaved';

/** Says in place where an entry is: "saved 10:42", or that it is not saved yet, with what to do. */
export function SavedMark({
  saved,
  what,
}: {
  saved: Pick<Saved<unknown>, 'state' | 'save' | 'discard'>;
  what: string;
}) {
  const { state, save, discard } = saved;
  if (state.kind === 'still') return <p className="h-5" />;
  if (state.kind !== 'unsaved') {
    return (
      <p role="status" className="h-5 text-tiny text-quiet">
        {state.kind === 'saving' ? 'saving' : `saved ${format(state.atMs, 'HH:mm')}`}
      </p>
    );
  }
  return (
    <p role="status" className="flex flex-wrap items-center gap-2 text-small">
      <span className="font-medium text-alarm">Not saved yet, kept on this device.</span>
      <Button aria-label={`Save ${what}`} onClick={save}>
        Save
      </Button>
      <Button weight="quiet" aria-label={`Discard ${what}`} onClick={discard}>
        Discard
      </Button>
    </p>
  );
}
