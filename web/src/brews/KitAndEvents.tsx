import { formatClock, type BenchEventKind } from '@vendu/core';
import type { BrewView } from '@vendu/contract';

const EVENT_WORDS: Record<BenchEventKind, string> = {
  'not-prepared': '',
  agitated: '',
  'cup-changed': '',
  'kettle-read': '',
  'first-drip': 'first drip',
  'bed-shows': 'the bed showed',
  'water-stands': 'water stood',
  'totals-moved': 'totals moved',
  'scale-lost': 'scale fell silent',
  'clock-off': 'the device’s clock was off and said',
};
const UNIT: Partial<Record<BenchEventKind, string>> = {
  'cup-changed': 'g',
  'kettle-read': '°C',
  'totals-moved': 'g',
};

function eventWords(kind: BenchEventKind, text: string): string {
  const said = [EVENT_WORDS[kind], text.toLowerCase()].filter((words) => words !== '');
  // A kettle read by an instrument has its name; one read by eye has none.
  return said.length === 0 ? 'kettle' : said.join(', ');
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
            kit.grinderSetting === null ? kit.grinder : `${kit.grinder} at ${kit.grinderSetting}`,
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
          {brew.events.map(({ kind, atS, figure, text }, index) => (
            <li key={index}>
              <span className="reading text-time">{formatClock(atS)}</span> {eventWords(kind, text)}
              {figure !== null && (
                <span className="reading">
                  {' '}
                  {figure} {UNIT[kind]}
                </span>
              )}
            </li>
          ))}
        </ul>
      )}
    </>
  );
}
