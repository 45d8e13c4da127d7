import type { DayFollow, DayPlan, DayTask } from '@vendu/core';
import { classes } from '../ui/classes';
import { clockOf } from './dayOfToday';
import { FOLLOW_WORDS } from './todayWords';

interface PlanChartProps {
  plan: DayPlan;
  people: readonly { name: string; fromMin: number; toMin: number }[];
  nowMin: number;
  /** What each brew is called, and its place in the order. */
  nameOf: (jobId: string) => { number: string; name: string };
}

const LETTER: Record<DayFollow, string> = {
  'taste-hot': 'H',
  read: 'R',
  'taste-warm': 'W',
  'taste-cool': 'C',
};
const LOOK: Record<DayFollow, string> = {
  'taste-hot': 'border-time text-time',
  'taste-warm': 'border-time text-time',
  'taste-cool': 'border-time text-time',
  read: 'border-strength text-strength',
};
/** The least that is drawn, min, so that a day of one brew is no wide block. */
const SPAN_MIN = 90;
const TICK_MIN = 30;
const STARTS_AT_MIN = 10;

/** So much of the chart is as wide as the words in a shade; a narrower one is told beside the name of who is in. */
const WORDS_NEED = 0.19;

/** Hours in which somebody is not there. */
function NotIn({
  left,
  width,
  words = '',
  isNarrow = false,
}: {
  left: string;
  width: string;
  words?: string;
  isNarrow?: boolean;
}) {
  return (
    <li
      aria-hidden={words === ''}
      className="absolute inset-y-0 grid items-center overflow-hidden bg-edge/15 px-3 text-tiny text-quiet"
      style={{ left, width }}
    >
      <span className={isNarrow ? 'sr-only' : 'whitespace-nowrap'}>{words}</span>
    </li>
  );
}

/** The day along the clock, a line for each pair of hands: brews, and between them what the cups ask for. */
export function PlanChart({ plan, people, nowMin, nameOf }: PlanChartProps) {
  const from = Math.floor(nowMin / STARTS_AT_MIN) * STARTS_AT_MIN;
  const to = Math.max(from + SPAN_MIN, Math.ceil((plan.endMin + 5) / TICK_MIN) * TICK_MIN);
  const at = (minute: number) => `${((minute - from) / (to - from)) * 100}%`;
  const firstTick = Math.ceil(from / TICK_MIN) * TICK_MIN;
  const ticks = Array.from(
    { length: Math.floor((to - firstTick) / TICK_MIN) + 1 },
    (_, index) => firstTick + index * TICK_MIN,
  );
  const every = Math.ceil(ticks.length / 9);
  const saidOf = ({ jobId, task, startMin, person }: DayTask) =>
    `${clockOf(startMin)} ${people[person]?.name ?? ''}: ${task === 'brew' ? 'brew' : FOLLOW_WORDS[task]}, ${nameOf(jobId).name}`;
  return (
    <figure>
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="The plan of the bench">
        <div className="min-w-[40rem]">
          <div className="relative ml-24 h-5" aria-hidden>
            {ticks
              .filter((_, index) => index % every === 0)
              .map((minute) => (
                <span
                  key={minute}
                  className="reading absolute -translate-x-1/2 text-tiny text-quiet last:-translate-x-full"
                  style={{ left: at(minute) }}
                >
                  {clockOf(minute)}
                </span>
              ))}
          </div>
          <ul>
            {people.map(({ name, fromMin, toMin }, person) => (
              <li key={name} className="flex items-center border-t border-rule last:border-b">
                <span className="w-24 shrink-0 truncate pr-2 text-small">{name.split(' ')[0]}</span>
                <ol className="relative h-11 grow">
                  {ticks.map((minute) => (
                    <li
                      key={minute}
                      aria-hidden
                      className="absolute inset-y-0 border-l border-rule"
                      style={{ left: at(minute) }}
                    />
                  ))}
                  {fromMin > nowMin && (
                    <NotIn
                      left="0%"
                      width={at(Math.min(fromMin, to))}
                      words={`in from ${clockOf(fromMin)}`}
                      isNarrow={(fromMin - from) / (to - from) < WORDS_NEED}
                    />
                  )}
                  {toMin < to && <NotIn left={at(toMin)} width={`calc(100% - ${at(toMin)})`} />}
                  {plan.tasks
                    .filter((task) => task.person === person)
                    .map((task) => (
                      <li
                        key={`${task.jobId} ${task.task}`}
                        title={saidOf(task)}
                        className={classes(
                          'reading absolute inset-y-1.5 grid place-items-center overflow-hidden border text-tiny font-semibold',
                          task.task === 'brew'
                            ? 'border-sheet bg-ink text-sheet'
                            : `bg-sheet ${LOOK[task.task]}`,
                        )}
                        style={{
                          left: at(task.startMin),
                          width: `${((task.endMin - task.startMin) / (to - from)) * 100}%`,
                        }}
                      >
                        <span aria-hidden>
                          {task.task === 'brew' ? nameOf(task.jobId).number : LETTER[task.task]}
                        </span>
                        <span className="sr-only">{saidOf(task)}</span>
                      </li>
                    ))}
                </ol>
              </li>
            ))}
          </ul>
        </div>
      </div>
      <figcaption className="caption mt-1">
        Dark: a brew by its number below. H, W, C: tasted hot, warm, cool. R: the sample is read. Shaded: not
        in.
      </figcaption>
    </figure>
  );
}
