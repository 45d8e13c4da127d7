import { Fragment, type ReactNode } from 'react';
import {
  celsiusToFahrenheit,
  cupScheduleWords,
  grindingOf,
  planWaterG,
  preparationOf,
  type Preparation as Task,
  type BrewPlan,
  type PreparationTask,
} from '@vendu/core';
import { useAppDispatch } from '../state/hooks';
import { AdditionsNote } from '../ui/AdditionsNote';
import { classes } from '../ui/classes';
import { QuantityField } from '../ui/QuantityField';
import { GRAMS, inRange } from '../ui/quantities';
import { SEATING_WORDS } from '../ui/words';
import { useShortcut } from '../ui/useShortcut';
import { cupsOf, soFar, type BenchBrew } from './benchBrew';
import { GrinderSelect } from './GrinderSelect';
import { brewTold, entryUndone } from './benchSlice';

/** What to have ready before the clock starts: ticked by P or a tap, left out by S, or passed over. */
export function Preparation({ brew, isActive }: { brew: BenchBrew; isActive: boolean }) {
  const dispatch = useAppDispatch();
  const tasks = preparationOf({ ...brew, plan: withCupsChosen(brew) });
  const { key, log } = brew;
  const { prepared, leftOut, finesG } = soFar(brew);
  const next = tasks.find(({ task }) => !prepared.includes(task) && !leftOut.includes(task));
  const answerNext = (kind: 'prepared' | 'left-out') =>
    isActive && next ? () => dispatch(brewTold({ key, happened: { kind, task: next.task } })) : null;
  useShortcut('p', answerNext('prepared'));
  useShortcut('s', answerNext('left-out'));
  const tellFines = (weighedG: number | null) =>
    dispatch(brewTold({ key, happened: { kind: 'weighed', what: 'fines', massG: weighedG } }));
  /** Ticks a thing, or takes the tick back. */
  function tick(task: PreparationTask) {
    const ticked = log.findLast((entry) => entry.kind === 'prepared' && entry.task === task);
    dispatch(
      prepared.includes(task) && ticked
        ? entryUndone({ key, of: { device: ticked.device, number: ticked.number } })
        : brewTold({ key, happened: { kind: 'prepared', task } }),
    );
  }
  return (
    <div>
      <h2 className="heading mb-2">
        Before the clock{' '}
        <span className="font-normal text-quiet">P ticks the next, S skips it; Space starts anyway</span>
      </h2>
      {brew.arm && (
        <p className="mb-2 border-l-2 border-ink pl-3 text-small">
          Arm {brew.arm.letter} of a comparison: pour it as you pour the others.
        </p>
      )}
      {brew.fromCard && (
        <p className="mb-2 border-l-2 border-ink pl-3 text-small">
          From the card alone: what the bench says is what{' '}
          <a
            href={`/api/recipe-versions/${brew.recipeVersionId}/card`}
            target="_blank"
            rel="noreferrer"
            className="underline underline-offset-3"
          >
            the card
          </a>{' '}
          says. Ask nobody; note what it leaves open.
        </p>
      )}
      <ol className="grid grid-cols-2 gap-x-6">
        {tasks.map((each) => {
          const isReady = prepared.includes(each.task);
          const isLeftOut = leftOut.includes(each.task);
          return (
            <li key={each.task} className="grid">
              <button
                type="button"
                aria-pressed={isReady}
                onClick={() => tick(each.task)}
                className="flex min-h-12 w-full items-center gap-3 border-b border-rule text-left"
              >
                <span
                  aria-hidden
                  className={classes(
                    'grid size-5 shrink-0 place-items-center border text-small',
                    isReady ? 'border-ink bg-ink text-sheet' : 'border-edge',
                  )}
                >
                  {isReady ? '✓' : isLeftOut ? '–' : each === next && 'P'}
                </span>
                <span className={isReady || isLeftOut ? 'text-quiet' : ''}>
                  <TaskWords task={each} brew={brew} />
                  {isLeftOut && <b className="ml-2 text-alarm">skipped</b>}
                </span>
              </button>
            </li>
          );
        })}
        <li className="py-1">
          <GrinderSelect brew={brew} />
        </li>
      </ol>
      {brew.plan.sieveUm !== undefined && (
        <div className="mt-3 grid max-w-lg grid-cols-[8rem_1fr] items-center gap-x-4">
          <QuantityField
            leavesOnEnter
            label="Fines weighed"
            quantity={inRange(GRAMS, { label: 'Fines', min: 0, max: 100 })}
            value={finesG}
            onCommit={(weighedG) => tellFines(weighedG)}
            onClear={() => tellFines(null)}
            placeholder="not weighed"
          />
          <p className="caption">
            About {grindingOf(brew.plan).finesG} g are expected to fall through. Do not breathe the dust.
          </p>
        </div>
      )}
      <p className="caption mt-2">
        Water near boiling and its steam scald; cold glass or cold metal under it can crack. Dry hands at
        plugs.
      </p>
      <AdditionsNote additions={brew.additions} />
    </div>
  );
}

function rowWords(brew: BenchBrew): string {
  const cups = cupsOf(brew);
  return cups.kind === 'none' ? '' : cupScheduleWords(cups);
}

/** What is laid out is what will be filled, though another row was planned. */
function withCupsChosen(brew: BenchBrew): BrewPlan {
  const cups = cupsOf(brew);
  const { cups: _, ...plan } = brew.plan;
  return cups.kind === 'none' ? plan : { ...plan, cups };
}

function durationOfMinutes(minutes: number): string {
  return minutes < 120 ? `${minutes} min` : `${Math.round(minutes / 6) / 10} h`;
}

/** What one may need to know of a thing, under it. */
function Aside({ children }: { children: ReactNode }) {
  return <span className="block text-tiny text-quiet">{children}</span>;
}

function TaskWords({ task: { task, figure }, brew }: { task: Task; brew: BenchBrew }) {
  switch (task) {
    case 'fold':
      return (
        <>
          {brew.fold === 'pleated'
            ? 'Open the pleats, seat the paper'
            : 'Fold the paper along its seam, seat it'}
          {brew.seating !== null && ` with ${SEATING_WORDS[brew.seating]}`}
          {brew.seating === 'spoon' && <Aside>it must not fall in and close the channels behind it</Aside>}
          {brew.seating === 'tool' && <Aside>nothing may pass beside it</Aside>}
        </>
      );
    case 'soak':
      return (
        <>
          Soak the paper, <b className="reading">{durationOfMinutes(figure ?? 0)}</b>
          <Aside>{brew.paper}</Aside>
        </>
      );
    case 'rinse':
      return (
        <>
          Rinse the paper with <b className="reading">{figure} g</b>
          <Aside>{brew.wallMaterial === 'ceramic' ? `${brew.paper}, more for ceramic` : brew.paper}</Aside>
        </>
      );
    case 'discard':
      return (
        <>
          Discard the rinse water
          <Aside>it warms the server; left in, it spoils the weight</Aside>
        </>
      );
    case 'weigh':
      return (
        <>
          Weigh{' '}
          {grindingOf(brew.plan).parts.map(({ toGrindG }, index) => (
            <Fragment key={index}>
              {index > 0 && ' and '}
              <b className="reading">{toGrindG} g</b>
            </Fragment>
          ))}
        </>
      );
    case 'grind':
      return (
        <>
          Grind at <b className="reading text-title">{brew.grinderSetting ?? `${figure} µm`}</b> on{' '}
          {brew.grinderName}
          {!!brew.retainedG && <Aside>it keeps about {brew.retainedG} g: weigh what comes out</Aside>}
        </>
      );
    case 'second-grind':
      return (
        <>
          Grind the second at <b className="reading text-title">{brew.secondSetting ?? `${figure} µm`}</b>,
          mix them
        </>
      );
    case 'sieve':
      return (
        <>
          Sieve at <b className="reading">{figure} µm</b>, weigh{' '}
          <b className="reading">{brew.plan.doseG} g</b> of what stays
        </>
      );
    case 'level':
      return <>Shake the bed flat</>;
    case 'needles-dry':
      return <>Needles through the dry bed</>;
    case 'shower-plate':
      return <>Shower plate on top</>;
    case 'chill-ball':
      return <>Chilled ball under the outlet</>;
    case 'regulator':
      return (
        <>
          Flow regulator on top, <b className="reading">{figure} g/s</b>
        </>
      );
    case 'cups':
      return (
        <>
          <b className="reading">{figure}</b> cups in a row, changed {rowWords(brew)}
        </>
      );
    case 'tare':
      return <>Tare the scale</>;
    case 'water':
      return (
        <>
          Kettle at <b className="reading">{figure} °C</b>{' '}
          <span className="reading text-quiet">
            ({Math.round(celsiusToFahrenheit({ temperatureC: figure ?? 0 }))} °F)
          </span>
          {brew.scale.kind === 'none' && (
            <Aside>no scale at hand: fill it with exactly {planWaterG(brew.plan)} g and pour it all</Aside>
          )}
        </>
      );
  }
}
