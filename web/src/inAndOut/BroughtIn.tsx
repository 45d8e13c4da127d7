import { toast } from 'sonner';
import type { ImportView } from '@vendu/contract';
import { useImportsQuery, useUndoImportMutation } from '../api/importsApi';
import { troubleOf } from '../api/problem';
import { Button } from '../ui/Button';
import { classes } from '../ui/classes';
import { dayAndTimeOf } from '../ui/dates';
import { Loading } from '../ui/Loading';
import { TroubleNotice } from '../ui/Notice';
import { Unavailable } from '../ui/Unavailable';

/** What came in before, each with its way out. */
export function BroughtIn() {
  const { data: imports, error, isLoading, refetch } = useImportsQuery();
  return (
    <section className="min-w-0">
      <h2 className="heading mb-2">Brought in before</h2>
      {isLoading && <Loading />}
      {error && <Unavailable trouble={troubleOf(error)} onRetry={() => void refetch()} />}
      {imports?.length === 0 && <p className="text-small text-quiet">No file yet.</p>}
      {imports && imports.length > 0 && (
        <ul>
          {imports.map((each) => (
            <Import key={each.id} of={each} />
          ))}
        </ul>
      )}
    </section>
  );
}

function Import({ of: { id, fileName, counts, takenBy, createdAt, undoneAt } }: { of: ImportView }) {
  const [undo, { isLoading, error }] = useUndoImportMutation();
  const came = counts.reduce((sum, { fresh }) => sum + fresh, 0);
  const takeOut = async () => {
    if ((await undo(id)).data) toast(`What came with ${fileName} is out again`);
  };
  return (
    <li className="border-b border-rule py-2">
      <p className={classes('font-semibold break-words', undoneAt !== null && 'text-quiet line-through')}>
        {fileName}
      </p>
      <p className="caption">
        {came} things, {takenBy}, {dayAndTimeOf(createdAt)}
        {undoneAt !== null && '; taken out again'}
      </p>
      {undoneAt === null && (
        <Button
          weight="quiet"
          disabled={isLoading}
          aria-label={`Take ${fileName} out again`}
          onClick={() => void takeOut()}
        >
          Take it out again
        </Button>
      )}
      <TroubleNotice trouble={troubleOf(error)} />
    </li>
  );
}
