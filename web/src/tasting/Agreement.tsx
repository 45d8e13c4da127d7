import type { StageAgreement } from '@vendu/core';
import type { TasterView } from '@vendu/contract';
import { Link } from 'react-router';
import { useTastersQuery } from '../api/tastersApi';
import { useSessionQuery } from '../session/sessionApi';
import { TASTING_STAGE_WORDS } from '../ui/words';

/** How far those who tasted one cup agree. */
export function Agreement({ stages }: { stages: readonly StageAgreement[] }) {
  const isGuest = useSessionQuery().data?.person?.role === 'taster';
  const { data: tasters = [] } = useTastersQuery(undefined, { skip: isGuest });
  if (stages.length === 0) return null;
  const known = habitsOf(tasters, new Set(stages.flatMap((stage) => stage.tasters)));
  return (
    <section aria-label="Agreement">
      <h3 className="mb-1 text-small font-semibold">How far they agree</h3>
      <ul className="flex flex-col gap-1 text-small">
        {stages.map(({ stage, tasters, attributes }) => {
          const apart = attributes.filter(({ isApart }) => isApart);
          return (
            <li key={stage}>
              <span className="text-quiet">
                {TASTING_STAGE_WORDS[stage]}, {tasters.length} tasters:
              </span>{' '}
              {attributes.length === 0
                ? 'nothing that two of them scored'
                : `within two points on ${attributes.length - apart.length} of ${attributes.length}`}
              {apart.length > 0 && (
                <>
                  ; apart on{' '}
                  {apart.map(({ attribute, low, high }, index) => (
                    <span key={attribute}>
                      {index > 0 && ', '}
                      <strong>{attribute}</strong>{' '}
                      <span className="reading">
                        {low} to {high}
                      </span>
                    </span>
                  ))}
                </>
              )}
            </li>
          );
        })}
      </ul>
      {known.length > 0 && (
        <p className="mt-1 text-small text-quiet">
          Known of them: {known.join('; ')}.{' '}
          <Link to="/schools#tasters" className="underline underline-offset-3">
            How each of us reads
          </Link>
        </p>
      )}
    </section>
  );
}

/** As "Joss reads dryness 1.0 higher". */
function habitsOf(tasters: readonly TasterView[], present: ReadonlySet<string>): string[] {
  return tasters
    .filter(({ name }) => present.has(name))
    .flatMap(({ name, habits }) =>
      habits
        .filter(({ isHabit }) => isHabit)
        .map(
          ({ attribute, byPoints }) =>
            `${name.split(' ')[0] ?? name} reads ${attribute} ${Math.abs(byPoints).toFixed(1)} ${byPoints > 0 ? 'higher' : 'lower'}`,
        ),
    );
}
