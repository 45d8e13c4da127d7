import type { EditedField, EditView } from '@vendu/contract';
import { useEditsQuery } from '../api/editsApi';
import { troubleOf } from '../api/problem';
import { dayAndTimeOf } from '../ui/dates';
import { Fold } from '../ui/Fold';
import { Loading } from '../ui/Loading';
import { TroubleNotice } from '../ui/Notice';
import { editWords, THINGS } from './editWords';

/** What was changed of something, by whom, from what to what; read once somebody opens it. */
export function Edits({ of }: { of: string }) {
  return (
    <div className="mt-8">
      <Fold summary="What was changed, by whom" isHeading isReadLate>
        <EditList of={of} />
      </Fold>
    </div>
  );
}

function EditList({ of }: { of: string }) {
  const { data: edits, error, isLoading } = useEditsQuery(of, { refetchOnMountOrArgChange: true });
  if (isLoading) return <Loading />;
  if (!edits) return <TroubleNotice trouble={troubleOf(error)} />;
  if (edits.length === 0) return <p className="py-2 text-small text-quiet">Nothing since it was entered.</p>;
  return (
    <ul className="text-small">
      {edits.map((edit) => (
        <li
          key={edit.id}
          className="grid grid-cols-1 gap-x-4 border-b border-rule py-1.5 sm:grid-cols-[13rem_minmax(0,1fr)]"
        >
          <span className="text-quiet">
            <span className="reading">{dayAndTimeOf(edit.at)}</span> {edit.by}
          </span>
          <span className="min-w-0 break-words">
            <Subject edit={edit} />
            {edit.kind === 'removed' && 'removed'}
            {edit.fields.map((field, index) => (
              <span key={field.field}>
                {index > 0 && '; '}
                <Field field={field} />
              </span>
            ))}
          </span>
        </li>
      ))}
    </ul>
  );
}

/** Things whose name alone does not say what they are. */
const OF_THEM: readonly string[] = ['recipes', 'readings'];

/** Which of several things it was. */
function Subject({ edit: { what, about } }: { edit: EditView }) {
  const thing = THINGS[what] ?? what;
  if (what === 'lots' || (thing === '' && about === '')) return null;
  return (
    <span className="font-semibold">
      {[about, about === '' || OF_THEM.includes(what) ? thing : ''].filter((word) => word !== '').join(', ')}
      :{' '}
    </span>
  );
}

function Field({ field }: { field: EditedField }) {
  const words = editWords(field);
  if (!('from' in words)) return <>{words.name}</>;
  return (
    <>
      {words.name} <span className="text-quiet">{words.from}</span> →{' '}
      <span className="font-semibold">{words.to}</span>
    </>
  );
}
