import { Link } from 'react-router';
import { ageingAdvice, ageingWords, ageNoteWords } from '@vendu/core';
import { AgeNoteDto, type WatchView } from '@vendu/contract';
import { troubleOf } from '../api/problem';
import { useSetAgeNoteMutation } from '../api/watchApi';
import { EditButton } from '../kit/EditButton';
import { FiguresForm, type FigureField } from '../kit/FiguresForm';
import { Button } from '../ui/Button';
import { DAYS, whole } from '../ui/quantities';

const FIELDS: readonly FigureField<AgeNoteDto>[] = [
  { field: 'fromDay', label: 'From day', hint: 'after the roast', kind: 'figure', quantity: whole(DAYS) },
  { field: 'words', label: 'What to do then', hint: 'in words: grind a little finer', kind: 'text' },
];
/** Where no older bag was brewed yet, a lead who knows better begins here. */
const USUAL_FROM_DAY = 21;

/** What older bags of a public recipe did, and what its card says of them. */
export function OlderBags({ watch, isLead }: { watch: WatchView; isLead: boolean }) {
  const [setNote, setting] = useSetAgeNoteMutation();
  const { recipeId, ageing, ageNote } = watch;
  const offered = { fromDay: ageing?.fromDay ?? USUAL_FROM_DAY, words: ageingAdvice(ageing) };
  return (
    <section>
      <h2 className="heading mb-2">Older bags</h2>
      <p className="text-small text-quiet">{ageingWords(ageing)}</p>
      {ageNote && (
        <p className="mt-2">
          On the card: <b>{ageNoteWords(ageNote)}</b>{' '}
          <Link to={`/recipes/${recipeId}`} className="text-small underline underline-offset-3">
            Publish it again
          </Link>
          <span className="text-small text-quiet"> where the public card does not say it yet.</span>
        </p>
      )}
      {isLead && (
        <div className="mt-2 flex flex-wrap gap-2">
          <EditButton
            words={ageNote ? 'Change it' : 'Say it on the card'}
            title="What the card says of an older bag"
          >
            {(leave) => (
              <FiguresForm
                draftKey={`older-bags.${recipeId}`}
                dto={AgeNoteDto}
                initial={ageNote ?? offered}
                fields={FIELDS}
                onSave={async (note) => troubleOf((await setNote({ recipeId, note })).error)}
                onLeave={leave}
              />
            )}
          </EditButton>
          {ageNote && (
            <Button
              weight="quiet"
              disabled={setting.isLoading}
              onClick={() => void setNote({ recipeId, note: null })}
            >
              Say nothing of it
            </Button>
          )}
        </div>
      )}
    </section>
  );
}
