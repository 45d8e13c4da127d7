import { TASTING_STAGES } from '@vendu/core';
import type { BrewView } from '@vendu/contract';
import { useSessionQuery } from '../session/sessionApi';
import { SheetsTogether } from '../tasting/SheetsTogether';
import { ButtonLink } from '../ui/Button';
import { TASTING_STAGE_WORDS } from '../ui/words';
import { VerdictForm } from './VerdictForm';

/** The way to the cup, what was found in it hot, warm and cool, and what is to be said of it. */
export function Taste({ brew }: { brew: BrewView }) {
  const personId = useSessionQuery().data?.person?.id;
  const sent = TASTING_STAGES.filter((stage) =>
    brew.tastings.some((sheet) => sheet.stage === stage && sheet.personId === personId),
  );
  return (
    <div className="flex flex-col gap-4">
      <div className="flex flex-wrap items-center gap-3">
        <ButtonLink to={`/brews/${brew.id}/taste`} weight={sent.length < 3 ? 'main' : 'plain'} shortcut="T">
          Taste this cup
        </ButtonLink>
        <span className="text-small text-quiet">
          {sent.length === 0
            ? 'You have sent no sheet of it: hot, warm and cool, each when it is there.'
            : `You have sent ${sent.map((stage) => TASTING_STAGE_WORDS[stage].toLowerCase()).join(', ')}.`}
        </span>
      </div>
      <SheetsTogether cup={brew} personId={personId} />
      <VerdictForm brew={brew} />
    </div>
  );
}
