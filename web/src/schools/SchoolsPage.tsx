import { troubleOf } from '../api/problem';
import { useChangeSchoolsMutation } from '../api/kitApi';
import { useKitQuery } from '../api/kitApi';
import { useSessionQuery } from '../session/sessionApi';
import { Loading } from '../ui/Loading';
import { TroubleNotice } from '../ui/Notice';
import { offerUndoOf } from '../ui/offerUndo';
import { Unavailable } from '../ui/Unavailable';
import { FoundBlind } from './FoundBlind';
import { Scores } from './Scores';
import { Tasters } from './Tasters';
import { StandChoices } from './StandChoices';

/** Where the house stands on each disputed point. */
export function SchoolsPage() {
  const { data: kit, error, isLoading, refetch } = useKitQuery();
  const isLead = useSessionQuery().data?.person?.role === 'lead';
  const [change, changing] = useChangeSchoolsMutation();
  if (isLoading) return <Loading />;
  if (!kit) return <Unavailable trouble={troubleOf(error)} onRetry={() => void refetch()} />;
  const { schools, revision } = kit.house;
  return (
    <>
      <h1 className="text-title font-bold">House style</h1>
      <p className="mb-4 max-w-3xl text-small text-quiet">
        Twelve points on which good practitioners disagree. The position of the house moves starting recipes,
        proposals and aims, and each says which position spoke. A recipe may take another.
        {!isLead && ' A lead sets the positions of the house.'}
      </p>
      <TroubleNotice trouble={troubleOf(changing.error)} />
      <StandChoices
        schools={schools}
        isReadOnly={!isLead}
        onChoose={(chosen) =>
          offerUndoOf(
            change({ ...chosen, revision }),
            'Position changed',
            (after) => void change({ ...schools, revision: after.house.revision }),
          )
        }
      />
      <FoundBlind />
      <Scores />
      <Tasters />
    </>
  );
}
