import { alignedPlan, armLetter, type BrewPlan } from '@vendu/core';
import type { ComparisonArmView, ComparisonView } from '@vendu/contract';
import { Button } from '../ui/Button';
import { TroubleNotice } from '../ui/Notice';
import { useArmVersion } from './useArmVersion';

/** For arms that are not brewed yet: the plan of A, but for what is asked about. */
export function AlignArms({
  comparison: { id, arms, asks, matchedBy, tests },
}: {
  comparison: ComparisonView;
}) {
  const [first, ...others] = arms;
  if (!first || tests.length > 0) return null;
  return others.map((arm, index) => {
    const plan =
      arm.brews.length > 0 ? null : alignedPlan({ from: first.plan, to: arm.plan, asks, matchedBy });
    return plan && <Align key={arm.id} id={id} arm={arm} place={index + 1} plan={plan} />;
  });
}

function Align({
  id,
  arm,
  place,
  plan,
}: {
  id: number;
  arm: ComparisonArmView;
  place: number;
  plan: BrewPlan;
}) {
  const { trouble, isReady, compare } = useArmVersion(id, arm);
  const letter = armLetter(place);
  return (
    <div className="mt-2">
      <TroubleNotice trouble={trouble} />
      <Button disabled={!isReady} onClick={() => void compare(plan, 'The plan of arm A of a comparison')}>
        Brew {letter} by the plan of A
      </Button>
    </div>
  );
}
