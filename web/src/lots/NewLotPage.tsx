import { useNavigate } from 'react-router';
import type { NewLotDto } from '@vendu/contract';
import { troubleOf } from '../api/problem';
import { dropDraft } from '../device/draft';
import { EMPTY_LOT } from './lotForm';
import { LotForm } from './LotForm';
import { useKitQuery } from '../api/kitApi';
import { useTakeInLotMutation } from '../api/lotsApi';
import { StartingHints } from './StartingHints';

const DRAFT_KEY = 'lot.new';

export function NewLotPage() {
  const [takeIn, { error, isLoading }] = useTakeInLotMutation();
  const { data: kit } = useKitQuery();
  const navigate = useNavigate();
  async function send(lot: NewLotDto) {
    const { data } = await takeIn(lot);
    if (!data) return;
    dropDraft(DRAFT_KEY);
    void navigate(`/lots/${data.id}`);
  }
  return (
    <>
      <h1 className="mb-5 text-title font-bold">Add a lot</h1>
      <LotForm
        draftKey={DRAFT_KEY}
        initial={EMPTY_LOT}
        purpose={{ kind: 'new' }}
        trouble={troubleOf(error)}
        isSending={isLoading}
        onSend={(lot) => void send(lot as NewLotDto)}
        backTo="/lots"
        hints={(text) => kit && <StartingHints text={text} kit={kit} />}
      />
    </>
  );
}
