import { formatDuration, type Aim, type Knowledge } from '@vendu/core';
import { readBrewsOf, type BrewsElsewhere } from '@vendu/contract';
import type { LiveForecast } from '../board/useForecast';
import { Notice } from '../ui/Notice';
import { ForgivenessTable } from './ForgivenessTable';
import { RoughForecast } from './RoughForecast';

const KNOWLEDGE_WORDS: Record<Knowledge, string> = {
  nothing: 'nothing learned about this lot yet',
  little: 'little learned about this lot yet',
  some: 'this lot is partly known',
  much: 'this lot is known well',
};

/** What the plan will do: cup and clock with their bands, what goes wrong, and how much it forgives. */
export function ForecastPanel({
  live,
  aim,
  plannedS,
  elsewhere,
}: {
  live: LiveForecast;
  aim: Aim;
  plannedS: number;
  elsewhere: readonly BrewsElsewhere[];
}) {
  const { forecast, trouble, forgiveness } = live;
  return (
    // Its room is kept: what lies under it must not move under a finger when the figures come.
    <section aria-label="Forecast" className={trouble ? '' : 'min-h-[19rem]'}>
      <h2 className="heading mb-2 flex items-baseline gap-3">
        Forecast
        {forecast && (
          <span className="ml-auto text-tiny font-normal text-quiet">
            {KNOWLEDGE_WORDS[forecast.knowledge]}
          </span>
        )}
      </h2>
      {trouble && <Notice tone="alarm">No forecast: {trouble}</Notice>}
      {!forecast && !trouble && <p className="text-small text-quiet">Working it out.</p>}
      {forecast && (
        <>
          <RoughForecast forecast={forecast.expected} aim={aim} plannedS={plannedS} />
          <LearnedElsewhere elsewhere={elsewhere} />
          <ul className="mt-2 flex flex-col gap-1.5" aria-label="Warnings">
            {!forecast.expected.drains && (
              <li>
                <Notice tone="alarm">It does not drain. Grind coarser or pour less.</Notice>
              </li>
            )}
            {forecast.warnings.map(({ kind, atS, message }) => (
              <li key={`${kind} ${atS}`}>
                <Notice tone={kind === 'overflow' || kind === 'stall' ? 'alarm' : 'note'}>
                  <span className="reading mr-2 text-time">{formatDuration(atS)}</span>
                  {message}
                </Notice>
              </li>
            ))}
          </ul>
          <ForgivenessTable forgiveness={forgiveness} isRough={forecast.expected.isRough} />
        </>
      )}
    </section>
  );
}

/** The lot's brews by its other recipes teach what the lot is like, and not how this brewer drains. */
function LearnedElsewhere({ elsewhere }: { elsewhere: readonly BrewsElsewhere[] }) {
  const learned = elsewhere.flatMap(({ brewerName, brews }) => {
    const count = readBrewsOf(brews).length;
    return count === 0 ? [] : [`${count === 1 ? 'one brew' : `${count} brews`} in the ${brewerName}`];
  });
  if (learned.length === 0) return null;
  return (
    <p className="caption mt-1">
      Learned of the lot from {learned.join(' and ')}; how this brewer drains, only from its own.
    </p>
  );
}
