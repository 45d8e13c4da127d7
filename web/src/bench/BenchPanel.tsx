import { callsFor, formatClock, formatRatio, planRatio } from '@vendu/core';
import { FittedStaircase } from '../ui/FittedStaircase';
import { classes } from '../ui/classes';
import { soFar, type BenchBrew } from './benchBrew';
import { BedSeenButtons } from './BedSeenButtons';
import { BrewElsewhere } from './BrewElsewhere';
import { DrainWatch } from './DrainWatch';
import { Finish } from './Finish';
import { Instruction } from './Instruction';
import { Instruments } from './Instruments';
import { KettleReadout } from './KettleReadout';
import { MissOffer } from './MissOffer';
import { OutflowReadout } from './OutflowReadout';
import { Preparation } from './Preparation';
import { SafetyLine } from './SafetyLine';
import { ScaleReadout } from './ScaleReadout';
import { StandInBrewer } from './StandInBrewer';
import { StepList } from './StepList';
import { useAnnouncer } from './useAnnouncer';
import { useBenchBrew } from './useBenchBrew';
import { useDrainForecast } from './useDrainForecast';
import { useKettle } from './useKettle';
import { useOutflow } from './useOutflow';

/** The flash begins this long before a step is due, s. */
const FLASH_AHEAD_S = 3;

interface BenchPanelProps {
  brew: BenchBrew;
  /** Keys act on it. */
  isActive: boolean;
  /** It shares the screen with another. */
  isCompact: boolean;
  isMuted: boolean;
}

/** At a glance from the grinder: its setting, or the size where it has none. */
function grindHint({ grinderSetting, secondSetting, plan }: BenchBrew): string {
  if (grinderSetting === null) return `${plan.grindUm} µm`;
  return `grind ${grinderSetting}${secondSetting === null ? '' : ` and ${secondSetting}`}`;
}

/** One brew: its clock, the next instruction, the plan with what was done growing over it. */
export function BenchPanel({ brew, isActive, isCompact, isMuted }: BenchPanelProps) {
  const bench = useBenchBrew(brew);
  const { plan, moment, done, isStarted, correction } = bench;
  const marked = soFar(brew).run.marks.length;
  const outflow = useOutflow(brew, { plan, elapsedS: moment.elapsedS });
  const drain = useDrainForecast(brew, plan, outflow.points);
  const kettle = useKettle(brew, plan);
  // What waits for something seen, or is left open, is called by nobody's clock.
  const calledInS = moment.next && callsFor(moment.next) !== null ? null : moment.dueInS;
  useAnnouncer({
    dueInS: calledInS,
    stepIndex: marked,
    isCupDue: bench.isCupDue,
    isMuted,
  });
  const isFlashing = calledInS !== null && calledInS <= FLASH_AHEAD_S && moment.phase === 'running';
  return (
    <section
      aria-label={`${brew.lotName}, ${brew.brewerName}`}
      className={classes(
        'grid min-w-0 grid-cols-1 gap-x-8 gap-y-3 px-4 pt-2 sm:px-6 sm:pt-3',
        isCompact
          ? classes('content-start border-t-4', isActive ? 'border-ink' : 'border-rule')
          : 'grow lg:grid-cols-[minmax(0,11fr)_minmax(0,10fr)]',
      )}
    >
      <div className="flex min-w-0 flex-col">
        <BrewElsewhere brew={brew} />
        <h1 className="flex min-w-0 flex-wrap items-baseline gap-x-4">
          <span className="max-w-full min-w-0 truncate text-large font-bold" title={brew.lotName}>
            {brew.lotName}
          </span>
          <span className="text-small whitespace-nowrap text-quiet">
            {brew.brewerName}, version {brew.versionNumber}
          </span>
          <span className="reading flex flex-wrap gap-x-4 whitespace-nowrap sm:ml-auto">
            <span>{plan.doseG} g</span>
            <span className="text-water">{formatRatio(planRatio(plan))}</span>
            <span className="text-temperature">{plan.kettleC} °C</span>
            <span>{grindHint(brew)}</span>
          </span>
        </h1>
        <div className="flex flex-wrap items-center gap-x-6">
          <div
            role="timer"
            aria-label="Brew clock"
            className={classes(
              'reading leading-[0.95] font-semibold tracking-[-0.02em] text-time',
              isCompact ? 'text-[clamp(4rem,8vw,6.5rem)]' : 'text-[clamp(5rem,15.5vw,13rem)]',
            )}
          >
            {formatClock(moment.elapsedS)}
          </div>
          {bench.isCupDue ? (
            // Beside the clock, where nothing has to move for it.
            <p role="alert" className="w-32 bg-alarm px-3 py-2 text-title leading-tight font-bold text-sheet">
              Change the cup (F)
            </p>
          ) : (
            bench.nextCup !== null && (
              <p className="w-32 px-3 text-small">
                next cup at <b className="reading block text-title">{bench.nextCup}</b>
              </p>
            )
          )}
          {isCompact && (
            <div className="w-full">
              <ScaleReadout bench={bench} />
            </div>
          )}
        </div>
        {moment.phase === 'done' ? (
          <Finish brew={brew} />
        ) : (
          moment.next && (
            <Instruction
              next={moment.next}
              dueInS={moment.dueInS}
              isFlashing={isFlashing}
              current={moment.current}
              isCompact={isCompact}
              fromCard={brew.fromCard}
            />
          )
        )}
        {correction && <MissOffer brewKey={brew.key} correction={correction} isActive={isActive} />}
        <div className="flex flex-wrap items-center gap-x-6 gap-y-2 pt-3">
          {moment.phase === 'running' && <BedSeenButtons brew={brew} isActive={isActive} />}
          {moment.phase !== 'done' && <StandInBrewer brew={brew} bench={bench} isCompact={isCompact} />}
          {moment.phase !== 'done' && (
            <KettleReadout kettle={kettle} plan={plan} next={moment.next} roomC={brew.ground?.kit.ambientC} />
          )}
        </div>
        {moment.phase !== 'done' && !isCompact && (
          <div className="mt-auto pt-3">
            <Instruments brew={brew} isStarted={isStarted} />
          </div>
        )}
      </div>
      <div className="flex min-w-0 flex-col gap-3">
        <FittedStaircase
          plan={plan}
          height={isCompact ? 115 : 200}
          actual={bench.actual}
          outflow={outflow.view?.line}
          nowS={moment.phase === 'running' ? moment.elapsedS : undefined}
          label="The plan as a staircase, with what was poured drawn over it"
        />
        {!isCompact && <ScaleReadout bench={bench} />}
        {moment.phase !== 'done' && <OutflowReadout outflow={outflow.view} />}
        {moment.phase !== 'done' && (
          <DrainWatch
            plan={plan}
            drain={drain}
            elapsedS={moment.elapsedS}
            poursLeft={bench.steps.slice(marked).some(({ kind }) => kind === 'pour')}
          />
        )}
        {isStarted ? (
          !isCompact && <StepList brew={brew} plan={plan} done={done} />
        ) : (
          <Preparation brew={brew} isActive={isActive} />
        )}
        {moment.phase !== 'done' && isCompact && <Instruments brew={brew} isStarted={isStarted} />}
        <SafetyLine brew={brew} />
      </div>
    </section>
  );
}
