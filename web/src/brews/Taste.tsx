import type { BrewView } from '@vendu/contract';
import { TastingSheets } from './TastingSheets';
import { VerdictForm } from './VerdictForm';

/** The cup hot, warm and cool, and what is to be said of it. */
export function Taste({ brew }: { brew: BrewView }) {
  return (
    <div className="flex flex-col gap-4">
      <TastingSheets brew={brew} />
      <VerdictForm brew={brew} />
    </div>
  );
}
