import { useNavigate, useParams } from 'react-router';
import type { EditLotDto } from '@vendu/contract';
import { troubleOf } from '../api/problem';
import { dropDraft } from '../app/draft';
import { Button } from '../ui/Button';
import { Loading } from '../ui/Loading';
import { Notice } from '../ui/Notice';
import { Unavailable } from '../ui/Unavailable';
import { lotFormText } from './lotForm';
import { LotForm } from './LotForm';
import { useEditLotMutation, useLotQuery } from './lotsApi';

export function EditLotPage() {
  const id = Number(useParams()['lotId']);
  const { data: lot, error, isLoading, refetch } = useLotQuery(id);
  const [edit, { error: refused, isLoading: isSending, reset }] = useEditLotMutation();
  const navigate = useNavigate();
  if (isLoading) return <Loading />;
  if (!lot) return <Unavailable trouble={troubleOf(error)} onRetry={() => void refetch()} />;

  const draftKey = `lot.${id}`;
  const trouble = troubleOf(refused);
  const isStale = trouble?.kind === 'stale';
  async function send(facts: EditLotDto) {
    const { data } = await edit({ id, lot: facts });
    if (!data) return;
    dropDraft(draftKey);
    void navigate(`/lots/${id}`);
  }
  return (
    <>
      <h1 className="mb-5 text-title font-bold">Facts of {lot.name}</h1>
      {isStale && (
        <div className="mb-5">
          <Notice tone="alarm">
            {trouble.detail} Open the lot in a second window to see theirs. To replace it, go on with yours
            and save again. <Button onClick={() => void refetch().then(reset)}>Go on with mine</Button>
          </Notice>
        </div>
      )}
      <LotForm
        draftKey={draftKey}
        initial={lotFormText(lot)}
        purpose={{ kind: 'edit', revision: lot.revision }}
        trouble={isStale ? null : trouble}
        isSending={isSending}
        onSend={(facts) => void send(facts as EditLotDto)}
        backTo={`/lots/${id}`}
      />
    </>
  );
}
