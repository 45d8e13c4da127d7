import { blindAnswerFault, type BlindAnswer, type BlindMethod, type TastingStage } from '@vendu/core';
import { BLIND_FIELDS, type PlaceView } from '@vendu/contract';
import { useAnswerBlindMutation } from '../api/comparisonsApi';
import { troubleOf } from '../api/problem';
import { dropDraft, useDraft } from '../device/draft';
import { Button } from '../ui/Button';
import { Field, INPUT } from '../ui/Field';
import { TroubleNotice } from '../ui/Notice';
import { useRetry } from '../ui/useRetry';
import { CupChoice } from './CupChoice';
import { CupRanks } from './CupRanks';
import { CupScores } from './CupScores';

interface Props {
  place: PlaceView;
  stage: TastingStage;
  secret: string;
  device: string;
}

/** What is said of the cups at one stage; kept on the phone until it is sent. */
export function StageForm({ place, stage, secret, device }: Props) {
  const draft = `blind.${secret}.${stage}`;
  const [answer, setAnswer] = useDraft<BlindAnswer>(draft, {});
  const [note, setNote] = useDraft(`${draft}.note`, '');
  const [send, { error, isLoading }] = useAnswerBlindMutation();
  const trouble = troubleOf(error);
  const cups = place.codes.map((code) => ({ code, arm: 0, isReference: code === '' }));
  const isWhole = blindAnswerFault(place.method, cups, answer) === null;
  async function submit() {
    const { error: refused } = await send({ secret, stage, answer: { device, ...sent(answer), note } });
    if (refused) return;
    dropDraft(draft);
    dropDraft(`${draft}.note`);
  }
  // What did not get through is sent again by itself: the same answer is stored once.
  useRetry(trouble, () => void submit());
  const codes = place.codes.filter((code) => code !== '');
  return (
    <form
      className="flex flex-col gap-5"
      onSubmit={(event) => {
        event.preventDefault();
        void submit();
      }}
    >
      <h1 className="text-title leading-tight font-bold">{askedOf(place.method, place.asksFor)}</h1>
      {place.answered.length > 0 && (
        <p className="text-large">Wait until the cups are {stage}, then taste them again.</p>
      )}
      {place.method === 'duo-trio' && <p>The cup without a number, on the left, is the known one.</p>}
      {place.method === 'ranking' ? (
        <CupRanks codes={codes} ranked={answer.ranked ?? []} onChange={(ranked) => setAnswer({ ranked })} />
      ) : place.method === 'scores' ? (
        <CupScores codes={codes} scores={answer.scores ?? {}} onChange={(scores) => setAnswer({ scores })} />
      ) : (
        <CupChoice
          codes={codes}
          chosen={answer.chosen ?? null}
          onChange={(chosen) => setAnswer({ chosen })}
        />
      )}
      <Field label="What you taste, if you like">
        {(control) => (
          <textarea
            {...control}
            rows={2}
            maxLength={BLIND_FIELDS.note.max}
            className={`${INPUT} h-auto py-2`}
            value={note}
            onChange={({ target }) => setNote(target.value)}
          />
        )}
      </Field>
      <TroubleNotice trouble={trouble} />
      <Button type="submit" weight="main" className="h-14 text-large" disabled={!isWhole || isLoading}>
        Send
      </Button>
    </form>
  );
}

/** Classes of the server know optional fields by being there or not. */
function sent({ chosen, ranked, scores }: BlindAnswer) {
  return {
    ...(chosen === undefined ? {} : { chosen }),
    ...(ranked === undefined ? {} : { ranked: [...ranked] }),
    ...(scores === undefined ? {} : { scores: { ...scores } }),
  };
}

function askedOf(method: BlindMethod, asksFor: string): string {
  const which = asksFor === '' ? 'the one you like better' : asksFor;
  switch (method) {
    case 'triangle':
      return 'Two are alike. Which one is different?';
    case 'duo-trio':
      return 'Which one is the known cup?';
    case 'paired':
      return `Choose ${which}`;
    case 'ranking':
      return asksFor === '' ? 'From the best to the last' : `From first to last: ${asksFor}`;
    case 'scores':
      return asksFor === '' ? 'How do you like them?' : `Points: ${asksFor}`;
  }
}
