import { actualStaircase, formatClock, type BenchEventKind } from '@vendu/core';
import type { BrewView } from '@vendu/contract';
import { traceLine } from '../bench/traceLine';
import { FittedStaircase } from '../staircase/FittedStaircase';
import { useTraceQuery } from './brewsApi';

const EVENT_WORDS: Record<BenchEventKind, string> = {
  'not-prepared': '',
  agitated: '',
  'cup-changed': '',
  'kettle-read': '',
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

/** The plan with what was done over it: off the scale where there was one; what else happened; with which kit. */
export function DoneStaircase({ brew }: { brew: BrewView }) {
  const { data } = useTraceQuery(brew.id, { skip: !brew.hasTrace });
  const trace = data?.trace ?? null;
  const lastS = brew.steps.at(-1)?.atS ?? brew.plan.drawdownS;
  const { kit } = brew;
  return (
    <>
      <div className="bg-raised">
        <FittedStaircase
          plan={brew.plan}
          height={250}
          actual={
            trace ? traceLine(trace) : actualStaircase({ plan: brew.plan, done: brew.steps, untilS: lastS })
          }
          label="The plan as a staircase, with what was done drawn over it"
        />
      </div>
      <p className="caption mt-1">
        {trace
          ? `Blue: the plan. Black: ${trace.atMs.length} readings of the scale; a gap is a silent scale.`
          : 'Blue: the plan. Black: marked times and totals written down, at the planned flow.'}
      </p>
      {kit && (
        <p className="mt-2 text-small">
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
