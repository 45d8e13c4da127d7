import { useParams } from 'react-router';
import { armDifferences, axesWords, checkDesign } from '@vendu/core';
import type { ComparisonView } from '@vendu/contract';
import { useComparisonQuery } from '../api/comparisonsApi';
import { troubleOf } from '../api/problem';
import { useSessionQuery } from '../session/sessionApi';
import { dayOf } from '../ui/dates';
import { Fold } from '../ui/Fold';
import { Loading } from '../ui/Loading';
import { Unavailable } from '../ui/Unavailable';
import { AlignArms } from './AlignArms';
import { ArmsTable } from './ArmsTable';
import { BlindTests } from './BlindTests';
import { BrewingOrder } from './BrewingOrder';
import { ChangeQuestion } from './ChangeQuestion';
import { DesignFaults } from './DesignFaults';
import { MatchGrind } from './MatchGrind';

/** One question, from its design to its answer. */
export function ComparisonPage() {
  const id = Number(useParams()['comparisonId']);
  const { data, error, isLoading, refetch } = useComparisonQuery(id);
  if (isLoading) return <Loading />;
  if (!data) return <Unavailable trouble={troubleOf(error)} onRetry={() => void refetch()} />;
  return <Comparison comparison={data} />;
}

function Comparison({ comparison }: { comparison: ComparisonView }) {
  const isLead = useSessionQuery().data?.person?.role === 'lead';
  const { question, asks, made, arms } = comparison;
  const faults = checkDesign(comparison);
  const tasted = <BlindTests comparison={comparison} faults={faults} isLead={isLead} />;
  // The answer is what the question was asked for.
  const isAnswered = comparison.tests.some(({ results }) => results !== null);
  return (
    <>
      <header className="mb-5 border-b border-ink pb-4">
        <h1 className="text-title leading-tight font-bold">{question}</h1>
        <p className="caption">
          About {axesWords(asks)}; asked by {made.by}, {dayOf(made.at)}
        </p>
      </header>
      <div className="grid grid-cols-1 gap-x-10 gap-y-8 lg:grid-cols-[minmax(0,1fr)_20rem]">
        <div className="flex min-w-0 flex-col gap-8">
          {isAnswered && tasted}
          <ArmsTable comparison={comparison} differences={armDifferences(arms)} />
          <BrewingOrder comparison={comparison} />
          {!isAnswered && tasted}
        </div>
        <div className="flex flex-col gap-8">
          <section>
            <h2 className="heading mb-2">Design</h2>
            <DesignFaults faults={faults} />
            <AlignArms comparison={comparison} />
            <MatchGrind comparison={comparison} />
          </section>
          <Fold summary="Change the question" isHeading>
            <ChangeQuestion key={comparison.revision} comparison={comparison} />
          </Fold>
        </div>
      </div>
    </>
  );
}
