import { LOT_STAGES, type LotStage } from '@vendu/core';
import { Link } from 'react-router';
import { ButtonLink } from '../ui/Button';
import { STAGE_WORDS } from '../ui/words';

/** What is done on each step, in few words. */
const STEP_WORDS: Record<LotStage, string> = {
  arrived: 'Weigh it in, note origin, process and roast.',
  'first-brews': 'Take the starting recipe, brew it, read and taste.',
  'dialling-in': 'Change one thing at a time, as the cup asks.',
  proving: 'Brew the accepted version again, by other hands.',
  'signed-off': 'A lead signs the recipe.',
  published: 'Its card is public, for every kitchen.',
  watched: 'Brew it again as the roast ages.',
};
/** The steps rise like the water of a recipe, px. */
const RISE_PX = 22;

/** Before the first lot: the way that each will go, and how to begin. */
export function NoLots() {
  return (
    <div className="border-t border-ink pt-6">
      <p className="mb-6 max-w-xl text-large">
        Every green lot on its way to a recipe stands here, with how far it is, what is due and what it gave
        last.
      </p>
      <ol
        aria-label="The way of a lot"
        className="grid grid-cols-1 gap-y-2 lg:grid-cols-7 lg:items-end lg:[--rise:1]"
        style={{ minHeight: LOT_STAGES.length * RISE_PX }}
      >
        {LOT_STAGES.map((stage, index) => (
          <li
            key={stage}
            className="border-l-3 border-water pl-3 lg:min-h-26 lg:border-t-3 lg:border-l-0 lg:pt-2 lg:pr-3 lg:pl-1"
            style={{ marginBottom: `calc(var(--rise, 0) * ${index * RISE_PX}px)` }}
          >
            <span className="block font-semibold">{STAGE_WORDS[stage]}</span>
            <span className="block text-small text-quiet">{STEP_WORDS[stage]}</span>
          </li>
        ))}
      </ol>
      <div className="mt-8 flex flex-wrap items-center gap-x-4 gap-y-2">
        <ButtonLink to="/lots/new" weight="main">
          Add the first lot
        </ButtonLink>
        <ButtonLink to="/lots/import">Import from CSV</ButtonLink>
        <p className="text-small text-quiet">
          Name, country, process and roast date are enough. A recipe needs a brewer and a grinder too: see{' '}
          <Link to="/kit" className="underline underline-offset-3">
            Kit
          </Link>
          .
        </p>
      </div>
    </div>
  );
}
