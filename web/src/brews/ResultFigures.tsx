import { ASSUMED_RETAINED, BENCH_INSTRUMENTS, type BrewResult, type ReadingNote } from '@vendu/core';
import type { BrewView } from '@vendu/contract';
import { Explain } from '../ui/Explain';
import { Figure } from '../ui/Figure';
import { Notice } from '../ui/Notice';
import { yieldWords } from './resultWords';

const NOTE_WORDS: Record<ReadingNote, string> = {
  'too-few': 'Fewer than three readings: their spread says nothing yet. Read once more.',
  'spread-wide':
    'The readings disagree by more than the instrument explains. Stir, cool, zero on clean water and read again.',
};

/** What the brew came to, each figure with its uncertainty and the way to where it came from. */
export function ResultFigures({ brew }: { brew: BrewView }) {
  const { result } = brew;
  if (!result) {
    return (
      <p className="text-small text-quiet">
        Enter three readings below: strength and yield follow from them.
      </p>
    );
  }
  return (
    <div className="flex flex-col gap-4">
      <div className="flex flex-wrap gap-x-10 gap-y-4">
        <Figure
          size="large"
          label="Strength"
          value={result.strength.meanPercent.toFixed(2)}
          spread={`± ${result.strength.uncertaintyPercent.toFixed(2)}`}
          unit="% TDS"
          hue="text-strength"
          note={<StrengthTrail brew={brew} result={result} />}
        />
        <Figure
          size="large"
          label={result.yield.basis === 'weighed' ? 'Yield' : 'Yield, assumed'}
          value={result.yield.basis === 'weighed' ? result.yield.yieldPercent.toFixed(1) : yieldWords(result)}
          spread={
            result.yield.basis === 'weighed' ? `± ${result.yield.uncertaintyPoints.toFixed(1)}` : undefined
          }
          unit="% of dose"
          hue="text-yield"
          note={<YieldTrail brew={brew} result={result} />}
        />
        <Figure
          size="large"
          label={result.yield.basis === 'weighed' ? 'Retained water' : 'Retained water, assumed'}
          value={
            result.yield.basis === 'weighed'
              ? result.yield.retainedGPerG.toFixed(2)
              : `${ASSUMED_RETAINED.lowGPerG}–${ASSUMED_RETAINED.highGPerG}`
          }
          unit="g/g"
          hue="text-water"
          note={
            result.yield.basis === 'weighed' ? 'water less beverage, per g of dose' : 'beverage not weighed'
          }
        />
      </div>
      {result.yield.basis === 'assumed' && (
        <Notice>
          The beverage was not weighed, so the yield is a band, not a measurement. Weigh the beverage to
          narrow it.
        </Notice>
      )}
      {brew.doseBasis === 'as-planned' && (
        <Notice>The dose was not weighed: the plan’s {brew.plan.doseG} g is used.</Notice>
      )}
      {result.strength.notes.map((note) => (
        <Notice key={note}>{NOTE_WORDS[note]}</Notice>
      ))}
    </div>
  );
}

function StrengthTrail({ brew, result }: { brew: BrewView; result: BrewResult }) {
  const { strength } = result;
  return (
    <Explain
      label="Where the strength comes from"
      trigger={`mean of ${strength.count}, spread ${strength.spreadPercent.toFixed(2)}`}
    >
      <p className="mb-2 font-semibold">Strength</p>
      <p className="reading mb-2">
        {brew.readings.map(({ tdsPercent }) => tdsPercent.toFixed(2)).join('   ')}
      </p>
      <p>
        Mean <span className="reading">{strength.meanPercent.toFixed(3)} %</span>
        {strength.sdPercent !== null && (
          <>
            , standard deviation <span className="reading">{strength.sdPercent.toFixed(3)}</span>
          </>
        )}
        . Uncertainty: the instrument’s <span className="reading">{BENCH_INSTRUMENTS.tdsPercent}</span> % and
        the spread of the mean, added as squares. Repeating does not shrink the instrument’s part.
      </p>
    </Explain>
  );
}

function YieldTrail({ brew, result }: { brew: BrewView; result: BrewResult }) {
  const measured = result.yield;
  const strength = result.strength.meanPercent.toFixed(3);
  return (
    <Explain label="Where the yield comes from" trigger="strength x beverage / dose">
      <p className="mb-2 font-semibold">Extraction yield</p>
      {measured.basis === 'weighed' ? (
        <>
          <p className="reading mb-2">
            {strength} % x {brew.beverageG} g / {brew.doseG} g = {measured.yieldPercent.toFixed(2)} %
          </p>
          <p>
            The beverage in the cup counts, never the water poured: {brew.waterG} g would read{' '}
            <span className="reading">
              {((result.strength.meanPercent * brew.waterG) / brew.doseG).toFixed(1)} %
            </span>
            . Uncertainty ± <span className="reading">{measured.uncertaintyPoints.toFixed(2)}</span> points
            from the reading, the beverage ({BENCH_INSTRUMENTS.beverageG} g) and the dose (
            {BENCH_INSTRUMENTS.doseG} g), to first order. Two brews closer than that are not told apart.
          </p>
        </>
      ) : (
        <>
          <p className="reading mb-2">
            {strength} % x ({brew.waterG} g − {measured.assumedRetainedGPerG} x {brew.doseG} g) / {brew.doseG}{' '}
            g = {measured.yieldPercent.toFixed(2)} %
          </p>
          <p>
            The bed’s retained water was assumed: {ASSUMED_RETAINED.lowGPerG} to {ASSUMED_RETAINED.highGPerG}{' '}
            g per g of dose gives the band.
          </p>
        </>
      )}
    </Explain>
  );
}
