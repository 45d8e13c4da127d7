import { Link, useNavigate } from 'react-router';
import { armLetter } from '@vendu/core';
import type { BrewView } from '@vendu/contract';
import { AdditionsNote } from '../ui/AdditionsNote';
import { Button, ButtonLink } from '../ui/Button';
import { dayAndTimeOf, dayOf } from '../ui/dates';
import { Notice } from '../ui/Notice';
import { offerUndoOf } from '../ui/offerUndo';
import { useShortcut } from '../ui/useShortcut';
import { useSetAsideMutation } from '../api/brewsApi';

/** Which brew this is, whether it counts, and the way to its recipe. */
export function BrewHead({ brew }: { brew: BrewView }) {
  const [setAside] = useSetAsideMutation();
  const { id } = brew;
  const navigate = useNavigate();
  const next = `/lots/${brew.lot.id}#next-change`;
  useShortcut('n', () => void navigate(next));
  return (
    <>
      <header className="mb-3 flex flex-wrap items-start gap-x-4 gap-y-2">
        <div className="min-w-0 grow basis-72">
          <h1 className="flex flex-wrap items-baseline gap-x-3">
            <span className="text-title leading-tight font-bold">Brew {brew.number}</span>{' '}
            <span className="text-small text-quiet">
              <Link to={`/lots/${brew.lot.id}`} className="underline-offset-3 hover:underline">
                {brew.lot.name}
              </Link>
              {', '}
              <Link to={`/recipes/${brew.recipeId}`} className="underline-offset-3 hover:underline">
                {brew.brewerName}, version {brew.versionNumber}
              </Link>
            </span>
          </h1>
          <p className="caption">
            {brew.brewedBy}, {dayAndTimeOf(brew.startedAt)}, {brew.roastAgeDays} days after the roast of{' '}
            {dayOf(brew.roastedOn)}
            {brew.fromCard && ', from the card alone'}
          </p>
          {brew.comparisons.map(({ id: comparisonId, question, arm }) => (
            <p key={comparisonId} className="caption">
              Arm {armLetter(arm)} of{' '}
              <Link to={`/compare/${comparisonId}`} className="underline underline-offset-3">
                {question}
              </Link>
            </p>
          ))}
          <AdditionsNote additions={brew.lot.additions} />
        </div>
        {!brew.isSetAside && (
          <Button
            weight="quiet"
            onClick={() =>
              void offerUndoOf(
                setAside({ id, aside: true }),
                `Brew ${brew.number} excluded`,
                () => void setAside({ id, aside: false }),
              )
            }
          >
            Exclude this brew
          </Button>
        )}
        <a
          href={`/api/brews/${id}/cup-labels.pdf`}
          target="_blank"
          rel="noreferrer"
          className="text-small text-quiet underline underline-offset-3 hover:text-ink"
        >
          Cup labels
        </a>
        <ButtonLink to={`/recipes/${brew.recipeId}`}>To the recipe</ButtonLink>
        <ButtonLink to={next} shortcut="N">
          Next change
        </ButtonLink>
      </header>
      {brew.isSimulated && (
        <div className="mb-3">
          <Notice>Simulated brew, not evidence: it moves no forecast and no stage of the lot.</Notice>
        </div>
      )}
      {brew.isSetAside && (
        <div className="mb-3">
          <Notice tone="alarm">
            This brew is excluded: it stays in the record, but not in the trail, on the map or in forecasts.{' '}
            <Button onClick={() => void setAside({ id, aside: false })}>Include it again</Button>
          </Notice>
        </div>
      )}
    </>
  );
}
