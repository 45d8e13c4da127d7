import { SCORED, type PracticeScore, type Scored } from '@vendu/core';

const WORDS: Record<Scored, string> = {
  flow: 'Flow',
  timing: 'Timing',
  totals: 'Totals',
  steadiness: 'Steadiness',
};

/** Points of one run, each with what was missed behind it. */
export function ScoreFigures({ score: { points, misses, missedPours } }: { score: PracticeScore }) {
  const behind: Record<Scored, string> | null = misses && {
    flow: `off by ${misses.flowGps.toFixed(1)} g/s`,
    timing: `off by ${misses.lateS.toFixed(1)} s`,
    totals: `off by ${misses.overG.toFixed(1)} g`,
    steadiness: `swayed by ${(misses.sway * 100).toFixed(0)} %`,
  };
  return (
    <dl className="flex flex-wrap gap-x-8 gap-y-2" aria-label="Score">
      {SCORED.map((each) => (
        <div key={each}>
          <dt className="text-small text-quiet">{WORDS[each]}</dt>
          <dd>
            <span className="reading text-title font-semibold">{points[each]}</span>{' '}
            <span className="text-small text-quiet">of 100{behind && `, ${behind[each]}`}</span>
          </dd>
        </div>
      ))}
      {missedPours > 0 && (
        <div className="w-full text-small text-alarm">{missedPours} pours were missed.</div>
      )}
    </dl>
  );
}
