import { formatClock, formatSigned, type BenchEvent } from '@vendu/core';
import type { BrewKitNames, BrewView } from '@vendu/contract';
import { LEFT_OUT_WORDS, NOT_SERVED_WORDS } from './leftOutWords';

/** What happened, and the figure it turns on. */
function eventWords(event: BenchEvent): { words: string; figure?: string } {
  switch (event.kind) {
    case 'not-prepared':
      return { words: LEFT_OUT_WORDS[event.task] };
    case 'not-served':
      return { words: NOT_SERVED_WORDS[event.serving] };
    case 'fines-weighed':
      return { words: 'fines sieved out', figure: `${event.finesG} g` };
    case 'agitated':
      return { words: event.how };
    case 'cup-changed':
      return { words: 'cup changed', ...(event.massG === null ? {} : { figure: `${event.massG} g` }) };
    case 'kettle-read':
      // A kettle read by an instrument has its name; one read by eye has none.
      return { words: event.instrument.toLowerCase() || 'kettle', figure: `${event.kettleC} °C` };
    case 'first-drip':
      return { words: 'first drip' };
    case 'bed-shows':
      return { words: 'the bed showed' };
    case 'water-stands':
      return { words: 'water stood' };
    case 'totals-moved':
      return {
        words: `totals moved from pour ${event.fromPour} on`,
        figure: `${formatSigned(event.byG, 0)} g`,
      };
    case 'scale-lost':
      return { words: `scale fell silent, ${event.scale.toLowerCase()}` };
    case 'scale-back':
      return { words: 'scale was back' };
    case 'clock-off':
      return { words: `the device’s clock was off and said ${event.said}` };
  }
}

function grinderWords({ grinder, grinderSetting, secondSetting }: BrewKitNames): string {
  const settings = [grinderSetting, secondSetting ?? null].filter((each) => each !== null);
  return settings.length === 0 ? grinder : `${grinder} at ${settings.join(' and ')}`;
}

/** With which kit a brew was made, and what else happened. */
export function KitAndEvents({ brew }: { brew: BrewView }) {
  const { kit } = brew;
  return (
    <>
      {kit && (
        <p className="mt-4 text-small">
          {[
            kit.brewer,
            `${kit.paper} paper`,
            grinderWords(kit),
            kit.water,
            kit.kettle,
            kit.scale === '' ? 'marked by hand' : kit.scale,
            kit.lab ? `at ${kit.lab.name}, ${kit.lab.place}, room at ${kit.lab.roomC} °C` : null,
          ]
            .filter((each) => each !== null)
            .join(', ')}
        </p>
      )}
      {brew.events.length > 0 && (
        <ul className="mt-2 flex flex-wrap gap-x-5 text-small">
          {brew.events.map((event, index) => {
            const { words, figure } = eventWords(event);
            return (
              <li key={index}>
                <span className="reading text-time">{formatClock(event.atS)}</span> {words}
                {figure !== undefined && <span className="reading"> {figure}</span>}
              </li>
            );
          })}
        </ul>
      )}
    </>
  );
}
