import type { FoundBy, LabelMatch } from '@vendu/core';
import { classes } from '../ui/classes';
import { TASTING_STAGE_WORDS } from '../ui/words';

const HOW: Record<LabelMatch['notes'][number]['how'], string> = {
  found: 'found',
  near: 'near',
  'not-found': 'not found',
};
/** More than so many words beside the label say nothing any more. */
const BESIDES = 6;

/** What the label promises, and whether anybody found it in the cup. */
export function LabelInCup({ match: { notes, besides } }: { match: LabelMatch }) {
  const found = notes.filter(({ how }) => how === 'found').length;
  return (
    <section aria-label="Label in the cup">
      <h3 className="mb-1 text-small font-semibold">
        Of the label’s notes <span className="reading">{found}</span> of{' '}
        <span className="reading">{notes.length}</span> found
      </h3>
      <ul className="text-small">
        {notes.map(({ note, how, instead, by }) => (
          <li key={note} className="grid grid-cols-[7rem_4.5rem_1fr] gap-2 border-b border-rule py-1">
            <span className="font-medium">{note}</span>
            <span
              className={classes(
                how === 'found' ? 'font-semibold text-yield' : how === 'near' ? 'text-quiet' : 'text-alarm',
              )}
            >
              {HOW[how]}
            </span>
            <span className="text-quiet">
              {instead.length > 0 && `${instead.join(', ')}: `}
              {whoWords(by)}
            </span>
          </li>
        ))}
      </ul>
      {besides.length > 0 && (
        <p className="mt-1 text-small text-quiet">
          Besides the label:{' '}
          {besides
            .slice(0, BESIDES)
            .map(({ word, by }) => (by.length > 1 ? `${word} (${by.length} sheets)` : word))
            .join(', ')}
        </p>
      )}
    </section>
  );
}

/** As "Ilse warm, cool; Joss hot". */
function whoWords(by: readonly FoundBy[]): string {
  const people = [...new Set(by.map((each) => each.by))];
  return people
    .map((person) => {
      const stages = [...new Set(by.filter((each) => each.by === person).map(({ stage }) => stage))];
      return `${person.split(' ')[0] ?? person} ${stages.map((stage) => TASTING_STAGE_WORDS[stage].toLowerCase()).join(', ')}`;
    })
    .join('; ');
}
