import {
  byTheClock,
  POUR_PATTERNS,
  POUR_TRIGGERS,
  STREAM_GPS,
  STREAMS,
  streamOf,
  USUAL_LEVEL_MM,
  pouringWords,
  startWords,
  type BrewPlan,
  type Pour,
  type PourPattern,
  type PourTrigger,
  type Stream,
} from '@vendu/core';
import { INPUT } from '../ui/Field';
import { Fold } from '../ui/Fold';
import { QuantityField } from '../ui/QuantityField';
import { CENTIMETRES, MILLIMETRES, whole, inRange } from '../ui/quantities';
import { PATTERN_WORDS, TRIGGER_WORDS } from '../ui/words';
import { nameOfPour } from './nameOfPour';
import { without } from './without';

interface HowPouredProps {
  plan: BrewPlan;
  onOffer: (plan: BrewPlan) => string | undefined;
  faults: Record<string, string>;
}

/** What each pour waits for, where its stream goes and from how high: most plans do not mind, so it is folded away until one does. */
export function HowPoured({ plan, onOffer, faults }: HowPouredProps) {
  const told = plan.pours.flatMap((pour, index) => {
    const words = [startWords(pour), pouringWords(pour)].filter((each) => each !== null).join(', ');
    return words === '' ? [] : [`${nameOfPour(pour, index)} ${words}`];
  });
  const isWrong = Object.keys(faults).some((field) => /\.(pattern|heightCm|startsWhen|levelMm)$/.test(field));
  function change(index: number, changed: (pour: Pour) => Pour): string | undefined {
    return onOffer({
      ...plan,
      pours: plan.pours.map((pour, at) => (at === index ? changed(pour) : pour)),
    });
  }
  return (
    <Fold
      isWrong={isWrong}
      summary={
        <>
          <span className="font-semibold">Start, stream, pattern and height</span>{' '}
          <span className="text-quiet">
            {told.length === 0
              ? 'by the clock, spirals from about 10 cm, as nothing else is said'
              : told.join('; ')}
          </span>
        </>
      }
    >
      <div className="mt-3 grid gap-y-3">
        {plan.pours.map((pour, index) => {
          const name = nameOfPour(pour, index);
          return (
            <div
              key={index}
              className="grid grid-cols-2 items-start gap-3 sm:grid-cols-[4rem_1.4fr_1fr_1fr_5.5rem]"
            >
              <span className="flex h-9 items-center text-small font-semibold">{name}</span>
              {index === 0 ? (
                <span className="flex h-9 items-center text-small text-quiet">starts the clock</span>
              ) : (
                <div className="flex flex-wrap gap-2 *:min-w-24 *:flex-1">
                  <select
                    aria-label={`${name}, begins`}
                    className={INPUT}
                    value={pour.startsWhen ?? ''}
                    onChange={({ target }) =>
                      change(index, (each) =>
                        target.value === ''
                          ? byTheClock(each)
                          : waitingFor(each, target.value as PourTrigger),
                      )
                    }
                  >
                    <option value="">by the clock</option>
                    {POUR_TRIGGERS.map((trigger) => (
                      <option key={trigger} value={trigger}>
                        {TRIGGER_WORDS[trigger]}
                      </option>
                    ))}
                  </select>
                  {pour.startsWhen === 'level' && (
                    <QuantityField
                      labelHidden
                      label={`${name}, water over the bed`}
                      quantity={whole(
                        inRange(MILLIMETRES, { label: 'Water over the bed', min: 1, max: 100 }),
                      )}
                      value={pour.levelMm ?? USUAL_LEVEL_MM}
                      onOffer={(levelMm) => change(index, (each) => ({ ...each, levelMm }))}
                      error={faults[`pours.${index}.levelMm`]}
                    />
                  )}
                </div>
              )}
              <select
                aria-label={`${name}, stream`}
                className={INPUT}
                value={streamOf(pour.flowGps)}
                onChange={({ target }) =>
                  change(index, (each) => ({ ...each, flowGps: STREAM_GPS[target.value as Stream] }))
                }
              >
                {STREAMS.map((stream) => (
                  <option key={stream} value={stream}>
                    {stream} stream
                  </option>
                ))}
              </select>
              <select
                aria-label={`${name}, pattern`}
                className={INPUT}
                value={pour.pattern ?? ''}
                onChange={({ target }) =>
                  change(index, (each) =>
                    target.value === ''
                      ? without(each, 'pattern')
                      : { ...each, pattern: target.value as PourPattern },
                  )
                }
              >
                <option value="">as usual</option>
                {POUR_PATTERNS.map((pattern) => (
                  <option key={pattern} value={pattern}>
                    {PATTERN_WORDS[pattern]}
                  </option>
                ))}
              </select>
              <QuantityField
                labelHidden
                label={`${name}, height`}
                quantity={inRange(CENTIMETRES, { label: 'Height', min: 1, max: 60 })}
                value={pour.heightCm ?? null}
                onOffer={(heightCm) => change(index, (each) => ({ ...each, heightCm }))}
                onClear={() => change(index, (each) => without(each, 'heightCm'))}
                placeholder="10"
                error={faults[`pours.${index}.heightCm`]}
              />
            </div>
          );
        })}
      </div>
      <p className="caption mt-2">
        {plan.pours.some(({ startsWhen }) => startsWhen !== undefined) &&
          'The forecast begins a pour that waits when it expects what it waits for, whatever the clock says. '}
        {plan.regulatorGps === undefined
          ? 'Higher and heavier streams stir the bed more. A stream held in the centre leaves more of it dry.'
          : 'Under the flow regulator neither reaches the bed.'}
      </p>
    </Fold>
  );
}

/** A pour that waits; a level is a figure, and begins as the usual one. */
function waitingFor(pour: Pour, startsWhen: PourTrigger): Pour {
  return { ...byTheClock(pour), startsWhen, ...(startsWhen === 'level' ? { levelMm: USUAL_LEVEL_MM } : {}) };
}
