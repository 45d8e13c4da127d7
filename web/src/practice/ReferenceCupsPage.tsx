import { useState } from 'react';
import { Link } from 'react-router';
import { openAnswer, REFERENCE_STEPS, serveBlind, type BlindSet, type ReferenceKind } from '@vendu/core';
import { troubleOf } from '../api/problem';
import { useAddReferenceCupsMutation } from '../api/tastersApi';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { TroubleNotice } from '../ui/Notice';
import { MakeCups } from './MakeCups';
import { OwnRecord } from './OwnRecord';
import { TasteCups } from './TasteCups';
import { REFERENCE_WORDS } from './referenceWords';

/** What is served, once somebody pours. */
interface Served {
  cups: BlindSet;
  isPoured: boolean;
}

const methodOf = (kind: ReferenceKind) => (kind === 'repeat' ? 'duo-trio' : 'triangle');
/** Nobody foresees it. */
const chance = () => (crypto.getRandomValues(new Uint32Array(1))[0] ?? 0) / 2 ** 32;

/** Cups with a known difference: one pours, one tastes, and what he finds is his own to know. */
export function ReferenceCupsPage() {
  const [kind, setKind] = useState<ReferenceKind>('strength');
  const [step, setStep] = useState<number>(REFERENCE_STEPS[0]);
  const [served, setServed] = useState<Served | null>(null);
  const [told, setTold] = useState<{ isRight: boolean; cups: BlindSet } | null>(null);
  const [add, { error, isLoading }] = useAddReferenceCupsMutation();
  const differencePercent = kind === 'strength' ? step : null;
  const lay = () => {
    setTold(null);
    const [cups] = serveBlind({ method: methodOf(kind), arms: 2, tasters: 1, random: chance });
    if (cups) setServed({ cups, isPoured: false });
  };
  async function answer(chosen: string) {
    if (!served) return;
    const opened = openAnswer(methodOf(kind), served.cups, { chosen });
    const isRight = opened.kind === 'told' && opened.isRight;
    if ((await add({ kind, differencePercent, isRight })).error) return;
    setTold({ isRight, cups: served.cups });
    setServed(null);
  }
  return (
    <>
      <p className="caption">
        <Link to="/practice" className="inline-flex min-h-6 items-center underline underline-offset-3">
          Practice
        </Link>
      </p>
      <h1 className="text-title font-bold">Reference cups</h1>
      <p className="mb-5 max-w-3xl text-small text-quiet">
        Cups with a known difference, to know what your tongue finds today. One pours, one tastes. The record
        is yours: nobody else is shown it, and it is no ranking.
      </p>
      <div className="grid grid-cols-1 gap-x-10 gap-y-8 lg:grid-cols-[minmax(0,1fr)_22rem]">
        <div className="flex flex-col gap-5">
          {served === null && (
            <>
              <div className="flex flex-wrap items-end gap-x-8 gap-y-4">
                <Choice
                  label="Looked for"
                  className="flex-wrap"
                  options={(['strength', 'dryness', 'repeat'] as const).map((value) => ({
                    value,
                    label: REFERENCE_WORDS[value].name,
                  }))}
                  value={kind}
                  onChange={setKind}
                />
                {kind === 'strength' && (
                  <Choice
                    label="Difference of strength"
                    options={REFERENCE_STEPS.map((value) => ({
                      value: String(value),
                      label: `${value.toFixed(2)} %`,
                    }))}
                    value={String(step)}
                    onChange={(next) => setStep(Number(next))}
                  />
                )}
              </div>
              <MakeCups kind={kind} differencePercent={differencePercent} />
              <div>
                <Button weight="main" className="h-11" onClick={lay}>
                  {told ? 'Once more' : 'Give out codes'}
                </Button>
              </div>
            </>
          )}
          {served && (
            <TasteCups
              kind={kind}
              {...served}
              onPoured={() => setServed({ ...served, isPoured: true })}
              onAnswer={(code) => void answer(code)}
              isSending={isLoading}
            />
          )}
          {told && <Told {...told} kind={kind} />}
          <TroubleNotice trouble={troubleOf(error)} />
        </div>
        <OwnRecord />
      </div>
    </>
  );
}

function Told({ isRight, cups, kind }: { isRight: boolean; cups: BlindSet; kind: ReferenceKind }) {
  const { asked } = REFERENCE_WORDS[kind];
  const coded = cups.filter(({ isReference }) => !isReference);
  const known = cups.find(({ isReference }) => isReference)?.arm;
  const sought = coded.find(({ arm }) =>
    known === undefined ? coded.filter((cup) => cup.arm === arm).length === 1 : arm === known,
  );
  return (
    <p role="status" className="text-large">
      {isRight ? 'Right: ' : 'It was another: '}
      <span className="reading font-semibold">{sought?.code}</span> was {asked}.
    </p>
  );
}
