import { useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import type { EditLotDto, LotView } from '@vendu/contract';
import { troubleOf } from '../api/problem';
import { dropDraft, readDraft } from '../device/draft';
import { Button } from '../ui/Button';
import { Loading } from '../ui/Loading';
import { Notice } from '../ui/Notice';
import { Unavailable } from '../ui/Unavailable';
import { Edits } from '../saving/Edits';
import { lotFormText, type LotDraft } from './lotForm';
import { LotForm } from './LotForm';
import { useEditLotMutation, useLotQuery } from '../api/lotsApi';

export function EditLotPage() {
  const id = Number(useParams()['lotId']);
  const { data: lot, error, isLoading, refetch } = useLotQuery(id);
  if (isLoading) return <Loading />;
  if (!lot) return <Unavailable trouble={troubleOf(error)} onRetry={() => void refetch()} />;
  return <EditLot key={id} lot={lot} />;
}

function EditLot({ lot }: { lot: LotView }) {
  const { id } = lot;
  const draftKey = `lot.${id}`;
  // Text typed over an older revision stays on it: whoever saved in between is not overwritten unseen.
  const [revision, setRevision] = useState(
    () => (readDraft(draftKey) as LotDraft | null)?.revision ?? lot.revision,
  );
  const [edit, { error, isLoading: isSending, reset }] = useEditLotMutation();
  const { refetch } = useLotQuery(id);
  const navigate = useNavigate();
  const trouble = troubleOf(error);
  const isStale = trouble?.kind === 'stale';

  async function goOnWithMine() {
    const { data: theirs } = await refetch();
    if (!theirs) return;
    setRevision(theirs.revision);
    reset();
  }
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
            {trouble.detail} Open the lot in a second window to see theirs. To replace it, keep yours and save
            again. <Button onClick={() => void goOnWithMine()}>Keep mine</Button>
          </Notice>
        </div>
      )}
      <LotForm
        draftKey={draftKey}
        initial={lotFormText(lot)}
        purpose={{ kind: 'edit', revision }}
        trouble={isStale ? null : trouble}
        isSending={isSending}
        onSend={(facts) => void send(facts as EditLotDto)}
        backTo={`/lots/${id}`}
      />
      <Edits of={`lots/${id}`} />
    </>
  );
}
