import { useNavigate } from 'react-router';
import type { StepDone } from '@vendu/core';
import { troubleOf } from '../api/problem';
import { useAppDispatch } from '../app/store';
import { usePutBrewMutation } from '../brews/brewsApi';
import { Button } from '../ui/Button';
import { TroubleNotice } from '../ui/Notice';
import { offerUndo } from '../ui/offerUndo';
import { BenchButton } from './BenchButton';
import { brewCleared, brewPutBack, type BenchBrew } from './benchSlice';

/** The clock has stopped: write down what the scale showed, then store the brew. */
export function Finish({ brew, done }: { brew: BenchBrew; done: readonly StepDone[] }) {
  const [put, { error, isLoading }] = usePutBrewMutation();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();

  async function store() {
    const { data } = await put({
      key: brew.key,
      brew: {
        recipeVersionId: brew.recipeVersionId,
        roastBatchId: brew.roastBatchId,
        startedAt: new Date(brew.run.marks[0]?.atMs ?? Date.now()).toISOString(),
        steps: [...done],
        note: brew.note,
      },
    });
    if (!data) return;
    dispatch(brewCleared());
    void navigate(`/brews/${data.id}`);
  }
  function clear() {
    dispatch(brewCleared());
    void navigate(`/recipes/${brew.recipeId}`);
    offerUndo('Bench cleared, brew not stored', () => {
      dispatch(brewPutBack(brew));
      void navigate(`/bench/${brew.recipeVersionId}`);
    });
  }
  return (
    <div className="mt-4 flex grow flex-col gap-4 border-t-4 border-ink pt-3">
      <p className="text-[2.5rem] leading-tight font-bold">Drained</p>
      <p className="max-w-md text-large">
        Write what the scale showed beside the pours if you read it. The brew is kept on this device until the
        server has it.
      </p>
      <TroubleNotice trouble={troubleOf(error)} />
      <div className="flex items-center gap-4">
        <BenchButton main disabled={isLoading} onClick={() => void store()}>
          Store the brew and weigh it
        </BenchButton>
        <Button weight="quiet" className="h-12" onClick={clear}>
          Clear without storing
        </Button>
      </div>
    </div>
  );
}
