import type { BrewView } from '@vendu/contract';
import { Edits } from '../saving/Edits';
import { BesideTable } from './BesideTable';
import { DoneStaircase } from './DoneStaircase';
import { DoneSteps } from './DoneSteps';
import { KitAndEvents } from './KitAndEvents';

/** What was done, with what, beside the brews before it. */
export function BrewRecord({ brew }: { brew: BrewView }) {
  return (
    <div className="grid grid-cols-1 gap-x-10 gap-y-6 xl:grid-cols-[minmax(0,5fr)_minmax(0,4fr)]">
      <section className="min-w-0">
        <h2 className="heading mb-2">Plan and what was done</h2>
        <DoneStaircase brew={brew} />
        <DoneSteps brew={brew} />
        <Edits of={`brews/${brew.id}`} />
      </section>
      <section className="min-w-0">
        <h2 className="heading mb-2">Beside other brews of this recipe</h2>
        <BesideTable brew={brew} />
        <KitAndEvents brew={brew} />
      </section>
    </div>
  );
}
