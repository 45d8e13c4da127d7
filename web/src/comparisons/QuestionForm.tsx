import {
  armDifferences,
  checkDesign,
  comparisonCost,
  ROUNDS,
  smallestFound,
  type ComparedArm,
  type ComparedAxis,
  type GrindMatch,
} from '@vendu/core';
import { classes } from '../ui/classes';
import { Choice } from '../ui/Choice';
import { TextField } from '../ui/TextField';
import { Toggles } from '../ui/Toggles';
import { axisLabel, MATCH_WORDS } from './comparisonWords';
import { DesignFaults } from './DesignFaults';

/** What is asked, as it is being typed. */
export interface Question {
  question: string;
  asks: readonly ComparedAxis[];
  matchedBy: GrindMatch;
  rounds: number;
}

const ROUND_OPTIONS = Array.from({ length: ROUNDS.most - 2 }, (_, index) => {
  const rounds = ROUNDS.fewest + index;
  return { value: String(rounds), label: String(rounds) };
});

/** The question, what it is about, and how often each arm is brewed; what that makes of the design stands beside it. */
export function QuestionForm({
  arms,
  value,
  onChange,
  faultAt,
  isNarrow = false,
}: {
  arms: readonly ComparedArm[];
  value: Question;
  onChange: (changes: Partial<Question>) => void;
  faultAt: Readonly<Record<string, string>>;
  /** It stands in a column, and what it makes of the design elsewhere. */
  isNarrow?: boolean;
}) {
  const { question, asks, matchedBy, rounds } = value;
  const differences = armDifferences(arms);
  // What was asked about stays to be seen where the arms turn out to be alike in it.
  const axes = [...new Set([...differences.map(({ axis }) => axis), ...asks])];
  const asksKit = differences.some(({ axis }) => axis === 'brewer' || axis === 'paper' || axis === 'lot');
  const toggle = (axis: ComparedAxis) =>
    onChange({ asks: asks.includes(axis) ? asks.filter((each) => each !== axis) : [...asks, axis] });
  return (
    <div className={classes('grid grid-cols-1 gap-x-10 gap-y-5', !isNarrow && 'lg:grid-cols-2')}>
      <div className="flex flex-col gap-5">
        <TextField
          label="Question"
          value={question}
          error={faultAt['question']}
          onChange={(next) => onChange({ question: next })}
        />
        <div role="group" aria-label="It is about">
          <p className="mb-1 text-small font-medium text-quiet">It is about</p>
          <div className="flex flex-wrap gap-1">
            <Toggles
              options={axes.map((axis) => ({ value: axis, label: axisLabel(axis) }))}
              on={asks}
              onToggle={toggle}
            />
          </div>
          {axes.length === 0 && <p className="text-small text-quiet">The arms do not differ in anything.</p>}
          {faultAt['asks'] !== undefined && (
            <p role="alert" className="mt-1 text-tiny font-medium text-alarm">
              {faultAt['asks']}
            </p>
          )}
        </div>
        <div className="flex flex-wrap gap-x-8 gap-y-4">
          <div>
            <p className="mb-1 text-small font-medium text-quiet">Brews of each</p>
            <Choice
              label="Brews of each"
              options={ROUND_OPTIONS}
              value={String(rounds)}
              onChange={(next) => onChange({ rounds: Number(next) })}
            />
          </div>
          {asksKit && (
            <div>
              <p className="mb-1 text-small font-medium text-quiet">Grind matched</p>
              <Choice
                label="Grind matched"
                options={(['dial', 'drain', 'yield'] as const).map((match) => ({
                  value: match,
                  label: MATCH_WORDS[match],
                }))}
                value={matchedBy}
                onChange={(next) => onChange({ matchedBy: next })}
              />
            </div>
          )}
        </div>
        <Cost arms={arms} rounds={rounds} />
      </div>
      {!isNarrow && (
        <section>
          <h2 className="heading mb-2">Design</h2>
          {asks.length === 0 ? (
            <p className="text-small">
              Say what it is about; whatever else differs then confounds the answer.
            </p>
          ) : (
            <DesignFaults faults={checkDesign({ asks, arms, matchedBy, rounds })} />
          )}
        </section>
      )}
    </div>
  );
}

/** What it costs, and what the meter finds with so many brews. */
function Cost({ arms, rounds }: { arms: readonly ComparedArm[]; rounds: number }) {
  const plans = arms.map(({ plan }) => plan);
  const { brews, coffeeG, aloneMin, twoAtOnceMin } = comparisonCost({ plans, rounds });
  const drainS = plans[0]?.drawdownS ?? 0;
  const strength = smallestFound('tdsPercent', { value: 0, rounds });
  const drain = smallestFound('drainS', { value: drainS, rounds });
  return (
    <p className="text-small">
      <span className="reading">{brews}</span> brews, <span className="reading">{coffeeG} g</span>,{' '}
      <span className="reading text-time">{aloneMin} min</span> one after the other or{' '}
      <span className="reading text-time">{twoAtOnceMin} min</span> two at once. Of ten such comparisons eight
      tell apart by the meter <span className="reading text-strength">{strength.toFixed(2)} %</span> of
      strength and <span className="reading text-time">{Math.round(drain)} s</span> of drain time.
    </p>
  );
}
