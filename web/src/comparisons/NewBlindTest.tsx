import { useState } from 'react';
import {
  armLetter,
  assessorsNeeded,
  BLIND_ARMS,
  blindPower,
  BLIND_METHODS,
  TASTING_STAGES,
  type BlindMethod,
  type TastingStage,
} from '@vendu/core';
import { BLIND_FIELDS, NewBlindTestDto, type ComparisonView } from '@vendu/contract';
import { useServeBlindMutation } from '../api/comparisonsApi';
import { troubleOf } from '../api/problem';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { TroubleNotice } from '../ui/Notice';
import { COUNT } from '../ui/quantities';
import { QuantityField } from '../ui/QuantityField';
import { TextField } from '../ui/TextField';
import { Toggles } from '../ui/Toggles';
import { TASTING_STAGE_WORDS } from '../ui/words';
import { useChecked } from '../ui/useChecked';
import { METHOD_NOTES, METHOD_WORDS } from './comparisonWords';

/** Which cups are laid out, for how many, and what so many can find. */
export function NewBlindTest({ comparison: { id, arms } }: { comparison: ComparisonView }) {
  const [method, setMethod] = useState<BlindMethod>(arms.length > 2 ? 'ranking' : 'triangle');
  const [chosen, setChosen] = useState<readonly number[] | null>(null);
  const [stages, setStages] = useState<readonly TastingStage[]>(['hot', 'cool']);
  const [tasters, setTasters] = useState<number | null>(12);
  const [asksFor, setAsksFor] = useState('');
  const [serve, { error, isLoading }] = useServeBlindMutation();
  const { faultAt, troubleBelow, submit } = useChecked(
    NewBlindTestDto,
    troubleOf(error),
    async (test) => !(await serve({ id, test })).error,
  );
  const { fewest, most } = BLIND_ARMS[method];
  const usual = arms.map((_, place) => place).slice(0, most);
  const inIt = chosen ?? usual;
  const asksWhich = method === 'paired' || method === 'ranking' || method === 'scores';
  const toggle = (place: number) =>
    setChosen(
      inIt.includes(place) ? inIt.filter((each) => each !== place) : [...inIt, place].sort((a, b) => a - b),
    );
  return (
    <form
      noValidate
      className="mt-3 flex flex-col gap-4"
      onSubmit={(event) =>
        void submit(
          event,
          {
            method,
            arms: [...inIt],
            stages: TASTING_STAGES.filter((stage) => stages.includes(stage)),
            tasters: tasters ?? 0,
            asksFor: asksWhich ? asksFor : '',
            alphaPercent: 100 * ALPHA,
            hours: 3,
          },
          () => undefined,
        )
      }
    >
      <div>
        <Choice
          label="Kind of test"
          className="flex-wrap"
          options={BLIND_METHODS.filter((each) => BLIND_ARMS[each].fewest <= arms.length).map((value) => ({
            value,
            label: METHOD_WORDS[value],
          }))}
          value={method}
          onChange={(next) => {
            setMethod(next);
            setChosen(null);
          }}
        />
        <p className="mt-1 text-small text-quiet">{METHOD_NOTES[method]}</p>
      </div>
      <div className="flex flex-wrap items-start gap-x-8 gap-y-4">
        {arms.length > fewest && (
          <div role="group" aria-label="Arms in it">
            <p className="mb-1 text-small font-medium text-quiet">Arms in it</p>
            <div className="flex gap-1">
              <Toggles
                options={arms.map((_, place) => ({ value: String(place), label: armLetter(place) }))}
                on={inIt.map(String)}
                onToggle={(place) => toggle(Number(place))}
              />
            </div>
            {faultAt['arms'] !== undefined && (
              <p role="alert" className="mt-1 text-tiny font-medium text-alarm">
                {faultAt['arms']}
              </p>
            )}
          </div>
        )}
        <div role="group" aria-label="Tasted">
          <p className="mb-1 text-small font-medium text-quiet">Tasted</p>
          <div className="flex gap-1">
            <Toggles
              options={TASTING_STAGES.map((stage) => ({ value: stage, label: TASTING_STAGE_WORDS[stage] }))}
              on={stages}
              onToggle={(stage) =>
                setStages((now) =>
                  now.includes(stage) ? now.filter((each) => each !== stage) : [...now, stage],
                )
              }
            />
          </div>
          {faultAt['stages'] !== undefined && (
            <p role="alert" className="mt-1 text-tiny font-medium text-alarm">
              {faultAt['stages']}
            </p>
          )}
        </div>
        <QuantityField
          label={BLIND_FIELDS.tasters.label}
          quantity={COUNT}
          value={tasters}
          onCommit={setTasters}
          error={faultAt['tasters']}
          className="w-24"
        />
      </div>
      {asksWhich && (
        <TextField
          label="Asked of the tasters, where it is not liking (as “the sweeter one”)"
          value={asksFor}
          error={faultAt['asksFor']}
          onChange={setAsksFor}
        />
      )}
      {tasters !== null && <Power method={method} tasters={tasters} stages={stages.length} />}
      <TroubleNotice trouble={troubleBelow} />
      <Button type="submit" weight="main" className="h-11 self-start" disabled={isLoading}>
        Lay out coded cups
      </Button>
    </form>
  );
}

/** Half of people notice it: what matters at a counter. */
const NOTICING = 0.5;
const ALPHA = 0.05;
const GOOD_POWER = 0.8;

/** What so many tasters find, said before anybody is asked. */
function Power({ method, tasters, stages }: { method: BlindMethod; tasters: number; stages: number }) {
  if (method === 'ranking' || method === 'scores') {
    return tasters < 6 ? (
      <p className="text-small">Few tasters rank alike by chance easily: six or more tell something.</p>
    ) : null;
  }
  // The worst of several stages has to do with this share of what may go wrong.
  const plan = { method, noticing: NOTICING, alpha: ALPHA / Math.max(1, stages) };
  const power = blindPower({ ...plan, assessors: tasters });
  const needed = assessorsNeeded({ ...plan, power: GOOD_POWER });
  if (!power.ok) return null;
  return (
    <p className="text-small">
      A difference that half of people notice is found by {tasters} tasters{' '}
      <span className="reading">{Math.round(power.value * 100)}</span> times in 100
      {needed.ok && power.value < GOOD_POWER && (
        <>
          ; {needed.value} find it {GOOD_POWER * 100} times
        </>
      )}
      .
    </p>
  );
}
