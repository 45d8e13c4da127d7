import { useState } from 'react';
import { ChangeComparisonDto, type ComparisonView } from '@vendu/contract';
import { useChangeComparisonMutation } from '../api/comparisonsApi';
import { troubleOf } from '../api/problem';
import { Button } from '../ui/Button';
import { TroubleNotice } from '../ui/Notice';
import { useChecked } from '../ui/useChecked';
import { QuestionForm, type Question } from './QuestionForm';

/** The question may be put better once more is known; the arms and what was brewed stay. */
export function ChangeQuestion({ comparison }: { comparison: ComparisonView }) {
  const { id, revision, arms } = comparison;
  const [typed, setTyped] = useState<Question>(comparison);
  const [change, { error, isLoading }] = useChangeComparisonMutation();
  const { faultAt, troubleBelow, submit } = useChecked(
    ChangeComparisonDto,
    troubleOf(error),
    async (told) => !(await change({ id, told })).error,
  );
  const { question, asks, matchedBy, rounds } = typed;
  return (
    <form
      noValidate
      className="mt-3 flex flex-col gap-4"
      onSubmit={(event) =>
        void submit(event, { revision, question, asks: [...asks], matchedBy, rounds }, () => undefined)
      }
    >
      <QuestionForm
        arms={arms}
        value={typed}
        onChange={(changes) => setTyped((now) => ({ ...now, ...changes }))}
        faultAt={faultAt}
        isNarrow
      />
      <TroubleNotice trouble={troubleBelow} />
      <Button type="submit" disabled={isLoading}>
        Save
      </Button>
    </form>
  );
}
