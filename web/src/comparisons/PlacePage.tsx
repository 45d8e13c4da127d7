import { useState } from 'react';
import { useParams } from 'react-router';
import type { PlaceView } from '@vendu/contract';
import { useTakePlaceQuery } from '../api/comparisonsApi';
import { troubleOf, type Trouble } from '../api/problem';
import { readDraft, writeDraft } from '../device/draft';
import { uuid } from '../device/uuid';
import { AdditionsNote } from '../ui/AdditionsNote';
import { Loading } from '../ui/Loading';
import { Mark } from '../ui/Mark';
import { isPassing, useRetry } from '../ui/useRetry';
import { TASTING_STAGE_WORDS } from '../ui/words';
import { StageForm } from './StageForm';

/** A taster's phone: his cups by their codes, and nothing of anybody else. */
export function PlacePage() {
  const secret = useParams()['secret'] ?? '';
  const [device] = useState(() => phoneKey(secret));
  const { data: place, error, isLoading, refetch } = useTakePlaceQuery({ secret, device });
  const trouble = troubleOf(error);
  return (
    <main className="mx-auto flex min-h-dvh max-w-md flex-col gap-5 p-4">
      <p className="flex items-center gap-2 font-bold tracking-tight">
        <Mark />
        Vendu
      </p>
      {isLoading && <Loading />}
      {trouble && !place && <NoPlace trouble={trouble} onRetry={() => void refetch()} />}
      {place && <Place place={place} secret={secret} device={device} />}
    </main>
  );
}

function NoPlace({ trouble, onRetry }: { trouble: Trouble; onRetry: () => void }) {
  useRetry(trouble, onRetry);
  return (
    <>
      <h1 className="text-title leading-tight font-bold">
        {isPassing(trouble) ? 'The server does not answer' : 'No place here'}
      </h1>
      <p className="text-large">{trouble.detail}</p>
    </>
  );
}

function Place({ place, secret, device }: { place: PlaceView; secret: string; device: string }) {
  const open = place.stages.filter((stage) => !place.answered.includes(stage));
  const [stage] = open;
  if (stage === undefined) {
    return (
      <>
        <h1 className="text-title font-bold">Thank you, taster {place.number}</h1>
        <p className="text-large">
          All your answers are there. What is in the cups is told once the test is opened.
        </p>
      </>
    );
  }
  if (place.isOver) {
    return (
      <>
        <h1 className="text-title font-bold">This test has ended</h1>
        <p className="text-large">
          {place.answered.length === 0
            ? 'It takes no more answers.'
            : `It takes no more answers; what you said ${place.answered.join(' and ')} counts.`}
        </p>
      </>
    );
  }
  return (
    <>
      <header>
        <p className="text-small text-quiet">Taster {place.number}</p>
        <ol className="flex gap-4 text-small" aria-label="Stages">
          {place.stages.map((each) => (
            <li
              key={each}
              aria-current={each === stage ? 'step' : undefined}
              className={each === stage ? 'border-b-2 border-ink font-semibold' : 'text-quiet'}
            >
              {TASTING_STAGE_WORDS[each]}
              {place.answered.includes(each) && ', sent'}
            </li>
          ))}
        </ol>
      </header>
      {place.additions.map((additions) => (
        <AdditionsNote key={additions} additions={additions} />
      ))}
      <StageForm key={stage} place={place} stage={stage} secret={secret} device={device} />
      <p className="caption mt-auto">
        Taste from left to right and rinse between. Spit if you can: caffeine adds up over a day. Say nothing
        aloud before all have answered.
      </p>
    </>
  );
}

/** What tells this phone from another; made once and kept. */
function phoneKey(secret: string): string {
  const name = `blind.${secret}.phone`;
  const kept = readDraft(name);
  if (typeof kept === 'string') return kept;
  const key = uuid().replaceAll('-', '');
  writeDraft(name, key);
  return key;
}
