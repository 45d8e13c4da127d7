import type { CalibratedForecast } from '../calibration/forecastBrew.js';
import type { ProposedChange } from '../change/proposeChange.js';
import { TASTE_RULES } from '../change/tasteRules.js';
import { OUTCOMES, type OutcomeOf } from '../forecast/outcome.js';
import type { ExpectedFigure, Expectation, Hope } from './expectation.js';

/** What a proposed change is expected to do: its figures, and that what its rule speaks of goes away. */
export function expectedOfChange({ expected, effect, source }: ProposedChange): Expectation {
  const figures = perOutcome((outcome) => ({
    from: expected[outcome].value - effect[outcome],
    to: expected[outcome].value,
    sd: expected[outcome].sd,
  }));
  return { source, figures, hopes: source.kind === 'rule' ? hopesOfRule(source.id) : [] };
}

/** The figures of a change that somebody drew: the forecasts of both plans, by the same calibration. */
export function expectedOfPlans(
  from: CalibratedForecast,
  to: CalibratedForecast,
): Record<OutcomeOf, ExpectedFigure> {
  return perOutcome((outcome) => ({
    from: from[outcome].value,
    to: to[outcome].value,
    sd: to[outcome].sd,
  }));
}

function perOutcome(of: (outcome: OutcomeOf) => ExpectedFigure): Record<OutcomeOf, ExpectedFigure> {
  return Object.fromEntries(OUTCOMES.map((outcome) => [outcome, of(outcome)])) as Record<
    OutcomeOf,
    ExpectedFigure
  >;
}

/** A rule of the figures alone hopes for nothing in the cup. */
function hopesOfRule(id: string): Hope[] {
  const rule = TASTE_RULES.find((each) => each.id === id);
  return rule ? [{ kind: 'gone', finding: rule.finding }] : [];
}
