import { X } from 'lucide-react';
import { Link } from 'react-router';
import { armLetter } from '@vendu/core';
import type { ComparisonArmView } from '@vendu/contract';
import { useAddArmBrewMutation, useRemoveArmBrewMutation } from '../api/comparisonsApi';
import { useLotQuery } from '../api/lotsApi';
import { shortDayOf } from '../ui/dates';
import { offerUndoOf } from '../ui/offerUndo';

/** The brews that count for an arm; others of its version can be made to. */
export function ArmBrews({ id, arm, place }: { id: number; arm: ComparisonArmView; place: number }) {
  const { data: lot } = useLotQuery(arm.lotId);
  const [add] = useAddArmBrewMutation();
  const [remove] = useRemoveArmBrewMutation();
  const letter = armLetter(place);
  const others = (lot?.brews ?? []).filter(
    ({ id: brewId, recipeId, versionNumber, isSetAside }) =>
      recipeId === arm.recipeId &&
      versionNumber === arm.versionNumber &&
      !isSetAside &&
      !arm.brews.some((brew) => brew.id === brewId),
  );
  const of = (brewId: number) => ({ id, armId: arm.id, brewId });
  const takeOut = (brewId: number, number: number) =>
    void offerUndoOf(
      remove(of(brewId)),
      `Brew ${number} no longer counts for ${letter}`,
      () => void add(of(brewId)),
    );
  return (
    <div className="text-small">
      <ul className="flex flex-wrap items-center gap-x-3">
        {arm.brews.map(({ id: brewId, number, brewedBy, startedAtMs }) => (
          <li key={brewId} className="flex items-center">
            <Link
              to={`/brews/${brewId}`}
              title={`${brewedBy}, ${shortDayOf(new Date(startedAtMs))}`}
              className="inline-flex min-h-6 items-center underline underline-offset-3"
            >
              brew {number}
            </Link>
            <button
              type="button"
              aria-label={`Brew ${number} does not count for ${letter}`}
              className="inline-flex min-h-6 min-w-6 items-center justify-center text-quiet hover:text-ink"
              onClick={() => takeOut(brewId, number)}
            >
              <X aria-hidden size={13} />
            </button>
          </li>
        ))}
        {arm.brews.length === 0 && <li className="text-quiet">not brewed</li>}
      </ul>
      {others.length > 0 && (
        <ul className="flex flex-wrap items-center gap-x-3">
          {others.map(({ id: brewId, number }) => (
            <li key={brewId}>
              <button
                type="button"
                onClick={() => void add(of(brewId))}
                className="min-h-6 text-quiet underline decoration-dotted underline-offset-3 hover:text-ink"
              >
                count brew {number} too
              </button>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
