import { X } from 'lucide-react';
import { useRemoveKitMutation, type KitChange, type RemovablePart } from '../api/kitApi';
import { Button } from '../ui/Button';
import { offerUndoOf } from '../ui/offerUndo';
import { useSaveKit } from './useSaveKit';

/** Takes a thing out of the kit, with a way back. */
export function RemoveButton<Part extends RemovablePart>({
  part,
  thing: { id, name },
  again,
}: {
  part: Part;
  thing: { id: number; name: string };
  /** What is typed anew where it is taken back. */
  again: Extract<KitChange, { part: Part }>['body'];
}) {
  const save = useSaveKit();
  const [remove] = useRemoveKitMutation();
  const takeAway = () =>
    void offerUndoOf(remove({ part, id }), `${name} removed.`, () => {
      void save({ part, id: null, body: again } as KitChange);
    });
  return (
    <Button weight="quiet" aria-label={`Remove ${name}`} onClick={takeAway}>
      <X aria-hidden size={16} />
    </Button>
  );
}
