import { formatDuration, type BrewPlan, type Precision } from '@vendu/core';
import type { ProofView } from '@vendu/contract';
import { listed } from '../ui/listed';
import { Strip, type StripPoint } from './Strip';

interface FigureShown {
  name: string;
  hue: 'strength' | 'yield' | 'time';
  unit: string;
  precision: Precision | null;
  of: (brew: ProofView['brews'][number]) => number | null;
  print: (value: number) => string;
  /** The least that the rule spans, so that noise is not drawn as a difference. */
  span: number;
}

/** What brews of it gave, and where the next one is to be expected: what a customer is promised. */
export function MayExpect({ proof, plan }: { proof: ProofView; plan: BrewPlan }) {
  const figures: FigureShown[] = [
    {
      name: 'Strength',
      hue: 'strength',
      unit: '%',
      precision: proof.strength,
      of: ({ tdsPercent }) => tdsPercent,
      print: (value) => value.toFixed(2),
      span: 0.2,
    },
    {
      name: 'Yield',
      hue: 'yield',
      unit: '%',
      precision: proof.yield,
      of: ({ yieldPercent }) => yieldPercent,
      print: (value) => value.toFixed(1),
      span: 3,
    },
    {
      name: plan.lifts ? 'Lifted' : 'Drained',
      hue: 'time',
      unit: '',
      precision: proof.drain,
      of: ({ drainS }) => drainS,
      print: (value) => formatDuration(Math.round(value)),
      span: 60,
    },
  ];
  const counted = proof.brews.filter(({ notCounted }) => notCounted === null);
  return (
    <section>
      <h2 className="heading mb-2">What a customer may expect</h2>
      {counted.length === 0 ? (
        <p className="text-small text-quiet">
          No brew of this version counts yet: it wants a weighed beverage and a reading, with dose and water
          as planned.
        </p>
      ) : (
        <>
          <p className="caption mb-3">
            {counted.length} {counted.length === 1 ? 'brew' : 'brews'} by {listed(proof.hands)},{' '}
            {ageWords(proof)}
          </p>
          <div className="flex flex-col gap-4">
            {figures.map((figure) => (
              <Expectation key={figure.name} figure={figure} brews={counted} hands={proof.hands} />
            ))}
          </div>
        </>
      )}
    </section>
  );
}

function Expectation({
  figure: { name, hue, unit, precision, of, print, span },
  brews,
  hands,
}: {
  figure: FigureShown;
  brews: ProofView['brews'];
  hands: readonly string[];
}) {
  if (!precision) return null;
  const points = brews.flatMap((brew): StripPoint[] => {
    const value = of(brew);
    return value === null
      ? []
      : [{ value, hand: hands.indexOf(brew.by), words: `brew ${brew.number}, ${brew.by}` }];
  });
  const { expected, repeatabilitySd, reproducibilitySd } = precision;
  const printed = (value: number) => `${print(value)}${unit && ` ${unit}`}`;
  const spread = (sd: number) => (hue === 'time' ? `${Math.round(sd)} s` : print(sd));
  return (
    <div>
      <div className="flex items-baseline gap-3">
        <h3 className="text-small text-quiet">{name}</h3>
        <span className={`reading text-large font-medium ${TEXT[hue]}`}>{printed(precision.mean)}</span>
        <span className="ml-auto text-small">
          {expected ? (
            <>
              nine of ten{' '}
              <span className="reading">
                {print(expected.low)}–{printed(expected.high)}
              </span>
            </>
          ) : (
            <span className="text-quiet">three brews make a band</span>
          )}
        </span>
      </div>
      <Strip points={points} expected={expected} hue={hue} span={span} hands={hands} print={printed} />
      {repeatabilitySd !== null && (
        <p className="caption">
          same hands ± {spread(repeatabilitySd)}
          {reproducibilitySd !== null && `, any hands ± ${spread(reproducibilitySd)}`} (standard deviations)
        </p>
      )}
    </div>
  );
}

const TEXT = { strength: 'text-strength', yield: 'text-yield', time: 'text-time' };

function ageWords({ roastAgeDays }: ProofView): string {
  if (!roastAgeDays) return '';
  const { from, to } = roastAgeDays;
  return from === to ? `${from} days from roast` : `${from} to ${to} days from roast`;
}
