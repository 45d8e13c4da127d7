import { Check } from 'lucide-react';
import { armLetter, brewingOrder } from '@vendu/core';
import type { ComparisonArmView, ComparisonView } from '@vendu/contract';
import { ButtonLink } from '../ui/Button';
import { classes } from '../ui/classes';

interface Turn {
  arm: ComparisonArmView;
  letter: string;
  isDone: boolean;
}

/** Each brew of the comparison in an order that favours no arm, and which is next. */
export function BrewingOrder({ comparison }: { comparison: ComparisonView }) {
  const { id, arms, rounds } = comparison;
  const turns = brewingOrder({ arms: arms.length, rounds }).flatMap(({ round, arm: place }): Turn[] => {
    const arm = arms[place];
    return arm ? [{ arm, letter: armLetter(place), isDone: arm.brews.length >= round }] : [];
  });
  const next = turns.find(({ isDone }) => !isDone);
  const after =
    next && turns.slice(turns.indexOf(next) + 1).find(({ arm, isDone }) => !isDone && arm !== next.arm);
  return (
    <section>
      <h2 className="heading mb-3">Brewing order</h2>
      <ol className="mb-3 flex flex-wrap gap-1" aria-label="Brewing order">
        {turns.map(({ letter, isDone }, index) => {
          const isNext = next !== undefined && index === turns.indexOf(next);
          return (
            <li
              key={index}
              aria-current={isNext ? 'step' : undefined}
              className={classes(
                'flex h-12 w-12 flex-col items-center justify-center border text-large font-bold',
                isNext ? 'border-ink bg-ink text-sheet' : isDone ? 'border-rule text-quiet' : 'border-edge',
              )}
            >
              {letter}
              <span className="sr-only">{isDone ? ', brewed' : isNext ? ', next' : ''}</span>
              {isDone && <Check aria-hidden size={14} />}
            </li>
          );
        })}
      </ol>
      {next ? (
        <div className="flex flex-wrap items-center gap-3">
          <ButtonLink to={benchPath(id, next)} weight="main">
            Brew {next.letter}
          </ButtonLink>
          {after && <ButtonLink to={benchPath(id, after)}>Brew {after.letter} beside it</ButtonLink>}
          <p className="caption">
            One pair of hands, one dose, one water for all. Two at once: O on the bench is the other hand.
          </p>
        </div>
      ) : (
        <p className="text-small">All brewed.</p>
      )}
    </section>
  );
}

const benchPath = (comparisonId: number, { arm, letter }: Turn) =>
  `/bench/${arm.recipeVersionId}?recipe=${arm.recipeId}&arm=${arm.id}&comparison=${comparisonId}&letter=${letter}`;
