import type { ChangeView } from '@vendu/contract';
import { hopeWords } from '../ui/hopeWords';
import { OUTCOME_ORDER, OUTCOME_WORDS } from '../ui/outcomeWords';

/** What a change is to do, before it was brewed. */
export function ChangeToCome({ change: { expectation } }: { change: ChangeView }) {
  const { figures, hopes } = expectation;
  if (figures === null && hopes.length === 0) return null;
  return (
    <p className="text-small">
      <span className="text-quiet">To do: </span>
      {figures &&
        OUTCOME_ORDER.map((outcome) => (
          <span key={outcome}>
            {OUTCOME_WORDS[outcome].noun}{' '}
            <span className="reading">
              {OUTCOME_WORDS[outcome].step(figures[outcome].to - figures[outcome].from)}
            </span>
            {', '}
          </span>
        ))}
      {hopes.length === 0 ? 'nothing said of the cup' : hopes.map(hopeWords).join(', ')}
      <span className="text-quiet">; not brewed yet</span>
    </p>
  );
}
