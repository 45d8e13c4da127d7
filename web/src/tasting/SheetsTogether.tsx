import { agreementOf, labelMatch, TASTING_STAGES, type TastingStage } from '@vendu/core';
import type { CupView } from '@vendu/contract';
import { useLookAtSheetsMutation } from '../api/cupsApi';
import { Button } from '../ui/Button';
import { listed } from '../ui/listed';
import { TASTING_STAGE_WORDS } from '../ui/words';
import { Agreement } from './Agreement';
import { LabelInCup } from './LabelInCup';
import { Movement } from './Movement';
import { SheetLines } from './SheetLines';

/** A brew's page shows them too. */
type TastedCup = Pick<CupView, 'id' | 'tastings' | 'sealedSheets' | 'lot'>;

/** What those who tasted a brew found, each for himself, and how far they agree. */
export function SheetsTogether({ cup, personId }: { cup: TastedCup; personId: number | undefined }) {
  const { tastings, lot } = cup;
  return (
    <section aria-label="What was tasted" className="mt-6 flex flex-col gap-6">
      <SealedSheets cup={cup} />
      {tastings.length > 0 && (
        <>
          <div className="grid grid-cols-1 gap-x-12 gap-y-6 lg:grid-cols-[minmax(0,1.2fr)_minmax(0,1fr)]">
            <Movement sheets={tastings} />
            <div className="flex flex-col gap-5">
              {lot.labelNotes.length > 0 && (
                <LabelInCup match={labelMatch({ labelNotes: lot.labelNotes, sheets: tastings })} />
              )}
              <Agreement stages={agreementOf(tastings.filter(({ isAfterOthers }) => !isAfterOthers))} />
            </div>
          </div>
          <SheetLines sheets={tastings} personId={personId} />
        </>
      )}
    </section>
  );
}

/** Sheets of others wait for one's own; whoever will not taste it may see them. */
function SealedSheets({ cup: { id, sealedSheets } }: { cup: TastedCup }) {
  const [look] = useLookAtSheetsMutation();
  const waiting = TASTING_STAGES.flatMap((stage: TastingStage) => {
    const count = sealedSheets[stage];
    return count ? [`${count} ${TASTING_STAGE_WORDS[stage].toLowerCase()}`] : [];
  });
  if (waiting.length === 0) return null;
  return (
    <p className="flex flex-wrap items-center gap-x-3 gap-y-1 border-l-2 border-edge pl-3 text-small">
      <span>
        Sheets of others: <strong>{listed(waiting)}</strong>, closed until you send yours of that stage.
      </span>
      <Button weight="quiet" onClick={() => void look(id)}>
        I will not taste it: show them
      </Button>
    </p>
  );
}
