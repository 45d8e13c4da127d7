import type { Correction } from '@vendu/core';
import { useAppDispatch } from '../state/hooks';
import { useShortcut } from '../ui/useShortcut';
import { BenchButton } from './BenchButton';
import { brewTold } from './benchSlice';

/** A pour missed its total: the next total as planned, or moved by as much. */
export function MissOffer({
  brewKey,
  correction: { pourNumber, overG, moveByG, keepAmountG, keepTotalG },
  isActive,
}: {
  brewKey: string;
  correction: Correction;
  isActive: boolean;
}) {
  const dispatch = useAppDispatch();
  const answer = (byG: number) =>
    dispatch(brewTold({ key: brewKey, happened: { kind: 'miss-answered', pourNumber, byG } }));
  useShortcut('k', isActive ? () => answer(0) : null);
  useShortcut('c', isActive ? () => answer(moveByG) : null);
  return (
    <div
      role="group"
      aria-label="A pour missed its total"
      className="mt-2 flex flex-wrap items-center gap-3 border-l-4 border-alarm pl-3"
    >
      <p className="text-large font-semibold">
        {Math.abs(overG)} g {overG > 0 ? 'over' : 'short'}. Next total:
      </p>
      <BenchButton shortcut="K" onClick={() => answer(0)}>
        keep {keepTotalG} g
      </BenchButton>
      <BenchButton shortcut="C" onClick={() => answer(moveByG)}>
        correct to {keepAmountG} g
      </BenchButton>
    </div>
  );
}
