import { useNavigate } from 'react-router';
import { useAppDispatch } from '../state/hooks';
import { offerUndo } from '../ui/offerUndo';
import { disconnectScales } from './benchScales';
import type { BenchBrew } from './benchBrew';
import { brewCleared, brewPutBack } from './benchSlice';
import { noteCleared } from './runningSync';

/** Takes a brew off the bench without saving it; it can be put back. */
export function useAbandon(brew: BenchBrew): () => void {
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  return () => {
    disconnectScales(brew.key);
    noteCleared(brew.key);
    dispatch(brewCleared({ key: brew.key }));
    void navigate(`/recipes/${brew.recipeId}`);
    offerUndo(`Brew of ${brew.lotName} abandoned, not saved`, () => {
      dispatch(brewPutBack(brew));
      void navigate(`/bench/${brew.recipeVersionId}`);
    });
  };
}
