import { useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { armDifferences, ARMS } from '@vendu/core';
import { NewComparisonDto } from '@vendu/contract';
import { useMakeComparisonMutation } from '../api/comparisonsApi';
import { useLotsQuery } from '../api/lotsApi';
import { troubleOf } from '../api/problem';
import { Button, ButtonLink } from '../ui/Button';
import { Loading } from '../ui/Loading';
import { TroubleNotice } from '../ui/Notice';
import { Unavailable } from '../ui/Unavailable';
import { useChecked } from '../ui/useChecked';
import { ArmPicker } from './ArmPicker';
import { usualQuestion } from './comparisonWords';
import { QuestionForm, type Question } from './QuestionForm';
import { Variants } from './Variants';
import { useChosenArms, type ChosenArm } from './useChosenArms';

/** Asks a question of some versions: what is compared first, then what it is about. */
export function NewComparisonPage() {
  const [address] = useSearchParams();
  const asked = Number(address.get('lot'));
  const { data, error, isLoading, refetch } = useLotsQuery({});
  if (isLoading) return <Loading />;
  if (!data) return <Unavailable trouble={troubleOf(error)} onRetry={() => void refetch()} />;
  const lotId = asked > 0 ? asked : data.lots[0]?.id;
  if (lotId === undefined) {
    return (
      <div className="max-w-xl">
        <h1 className="mb-2 text-title font-bold">New comparison</h1>
        <p className="mb-4">There is no lot yet. A comparison is made of versions of its recipes.</p>
        <ButtonLink to="/lots/new" weight="main">
          Take in a lot
        </ButtonLink>
      </div>
    );
  }
  return <NewComparison lotId={lotId} recipeId={Number(address.get('recipe')) || null} />;
}

function NewComparison({ lotId, recipeId }: { lotId: number; recipeId: number | null }) {
  const [arms, setArms] = useState<readonly ChosenArm[]>([
    { lotId, recipeId, versionId: null },
    { lotId, recipeId, versionId: null },
  ]);
  const [typed, setTyped] = useState<Partial<Question>>({});
  const [make, { error, isLoading }] = useMakeComparisonMutation();
  const navigate = useNavigate();
  const { faultAt, troubleBelow, submit } = useChecked(NewComparisonDto, troubleOf(error), async (told) => {
    const { data } = await make(told);
    if (data) void navigate(`/compare/${data.id}`);
    return data !== undefined;
  });
  const shown = useChosenArms(arms);
  const whole = shown.flatMap(({ compared }) => compared ?? []);
  const isWhole = whole.length === arms.length;
  const asks =
    typed.asks ??
    (isWhole
      ? armDifferences(whole)
          .slice(0, 1)
          .map(({ axis }) => axis)
      : []);
  const question: Question = {
    asks,
    question: typed.question ?? usualQuestion(asks),
    matchedBy: typed.matchedBy ?? 'dial',
    rounds: typed.rounds ?? 2,
  };
  const change = (place: number, changes: Partial<ChosenArm>) =>
    setArms((now) => now.map((arm, index) => (index === place ? { ...arm, ...changes } : arm)));
  return (
    <form
      noValidate
      onSubmit={(event) =>
        void submit(
          event,
          {
            ...question,
            asks: [...question.asks],
            versionIds: shown.map(({ versionId }) => versionId ?? 0),
          },
          () => undefined,
        )
      }
    >
      <h1 className="text-title font-bold">New comparison</h1>
      <p className="mb-4 text-quiet">
        Two to four versions, in brewers and of lots as the question wants it.
      </p>
      <ul className="mb-3 border-t border-ink">
        {shown.map((each, place) => (
          <ArmPicker
            // By place: a version may be chosen twice before it is chosen rightly.
            key={place}
            shown={each}
            place={place}
            onChange={(changes) => change(place, changes)}
            onRemove={
              arms.length > ARMS.fewest
                ? () => setArms((now) => now.filter((_, index) => index !== place))
                : null
            }
          />
        ))}
      </ul>
      {shown[0]?.recipe && shown[0].versionId !== null && (
        <Variants
          recipe={shown[0].recipe}
          versionId={shown[0].versionId}
          place={arms.length - 1}
          onMade={(made) => {
            // A stays what it is, whatever is the newest version now.
            change(0, { recipeId: made.recipeId, versionId: shown[0]?.versionId ?? null });
            change(arms.length - 1, { lotId: shown[0]?.lotId ?? lotId, ...made });
          }}
        />
      )}
      {arms.length < ARMS.most && (
        <Button
          className="mb-6"
          onClick={() =>
            setArms((now) => [...now, { lotId: now.at(-1)?.lotId ?? lotId, recipeId: null, versionId: null }])
          }
        >
          Add an arm
        </Button>
      )}
      {faultAt['versionIds'] !== undefined && isWhole && (
        <p role="alert" className="mb-4 text-small font-medium text-alarm">
          {faultAt['versionIds']}
        </p>
      )}
      {isWhole ? (
        <>
          <QuestionForm
            arms={whole}
            value={question}
            onChange={(changes) => setTyped((now) => ({ ...now, ...changes }))}
            faultAt={faultAt}
          />
          <TroubleNotice trouble={troubleBelow} />
          <Button type="submit" weight="main" className="mt-6 h-11" disabled={isLoading}>
            Save
          </Button>
        </>
      ) : (
        <p className="text-small text-quiet">
          Choose a version for each arm: its design is looked through then.
        </p>
      )}
    </form>
  );
}
