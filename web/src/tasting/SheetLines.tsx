import { INTENSITIES, TASTING_STAGES } from '@vendu/core';
import type { TastingView } from '@vendu/contract';
import { FINDING_WORDS } from '../ui/findingWords';
import { TASTING_STAGE_WORDS, VESSEL_WORDS } from '../ui/words';

/** Every sheet in words, stage by stage, whoever wrote it. */
export function SheetLines({
  sheets,
  personId,
}: {
  sheets: readonly TastingView[];
  personId: number | undefined;
}) {
  return (
    <div className="grid grid-cols-1 gap-x-8 gap-y-4 lg:grid-cols-3">
      {TASTING_STAGES.map((stage) => {
        const ofStage = sheets.filter((sheet) => sheet.stage === stage);
        if (ofStage.length === 0) return null;
        return (
          <section key={stage} aria-label={`${TASTING_STAGE_WORDS[stage]} sheets`}>
            <h3 className="mb-1 text-small font-semibold">{TASTING_STAGE_WORDS[stage]}</h3>
            <ul className="flex flex-col gap-2">
              {ofStage.map((sheet) => (
                <SheetLine key={sheet.personId} sheet={sheet} isOwn={sheet.personId === personId} />
              ))}
            </ul>
          </section>
        );
      })}
    </div>
  );
}

function SheetLine({ sheet, isOwn }: { sheet: TastingView; isOwn: boolean }) {
  const { by, notes, aromas, faults, overall, isAfterOthers, isAltered, vessel, isSpat } = sheet;
  const nose = Object.values(aromas).filter((text) => text !== '');
  const how = [
    vessel === null ? '' : VESSEL_WORDS[vessel],
    isSpat ? 'spat' : '',
    isAfterOthers ? 'sent after seeing others' : '',
    isAltered ? 'altered after it was sent' : '',
  ].filter(Boolean);
  return (
    <li className={`border-l-2 pl-2 text-small ${isOwn ? 'border-ink' : 'border-edge'}`}>
      <p>
        <span className="font-semibold">{by}</span>
        {overall !== null && (
          <span className="text-quiet">
            , liked <span className="reading font-semibold text-yield">{overall}</span>
          </span>
        )}
        {how.length > 0 && <span className="caption">, {how.join(', ')}</span>}
      </p>
      {notes !== '' && <p>{notes}</p>}
      {nose.length > 0 && <p className="text-quiet">nose: {nose.join('; ')}</p>}
      {faults.length > 0 && (
        <p className="text-alarm">{faults.map((fault) => FINDING_WORDS[fault]).join(', ')}</p>
      )}
      <p className="caption">{scoreWords(sheet)}</p>
    </li>
  );
}

function scoreWords({ intensities }: TastingView): string {
  return INTENSITIES.flatMap((name) =>
    intensities[name] === null ? [] : [`${name} ${intensities[name]}`],
  ).join(', ');
}
