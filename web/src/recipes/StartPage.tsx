import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import {
  aimOf,
  aimSourceOf,
  formatDuration,
  formatRatio,
  grindWords,
  kettleWords,
  planRatio,
  planAllWaterG,
  type Aim,
  type OfferId,
} from '@vendu/core';
import type { KitView, LotView, NewRecipeDto, SimilarLotView, StartingPreview } from '@vendu/contract';
import { byField, troubleOf } from '../api/problem';
import { useDraft } from '../device/draft';
import { KitChoice } from '../kit/KitChoice';
import {
  brewerOptions,
  ownGrinderOptions,
  kettleOptions,
  paperOptions,
  waterOptions,
} from '../kit/kitOptions';
import { AdditionsNote } from '../ui/AdditionsNote';
import { useKitQuery } from '../api/kitApi';
import { useLotQuery } from '../api/lotsApi';
import { Positions } from '../schools/Positions';
import { FittedStaircase } from '../ui/FittedStaircase';
import { Button } from '../ui/Button';
import { Loading } from '../ui/Loading';
import { Notice, TroubleNotice } from '../ui/Notice';
import { GRAMS } from '../ui/quantities';
import { QuantityField } from '../ui/QuantityField';
import { Tick } from '../ui/Tick';
import { Unavailable } from '../ui/Unavailable';
import { processWords } from '@vendu/core';
import { AimChoice } from './AimChoice';
import { FromFile } from './FromFile';
import { ReasonList } from './ReasonList';
import { useStartingRecipeQuery, useStartRecipeMutation } from '../api/recipesApi';
import { RoughForecast } from './RoughForecast';

/** The starting recipe of a lot, looked at from every side before it is kept. */
export function StartPage() {
  const id = Number(useParams()['lotId']);
  const { data: lot, error, refetch } = useLotQuery(id);
  const { data: kit } = useKitQuery();
  if (!lot || !kit) {
    return error ? <Unavailable trouble={troubleOf(error)} onRetry={() => void refetch()} /> : <Loading />;
  }
  return <StartSheet lot={lot} kit={kit} />;
}

function StartSheet({ lot, kit }: { lot: LotView; kit: KitView }) {
  const [typed, change, forget] = useDraft<Partial<NewRecipeDto>>(`start.${lot.id}`, {});
  const asked = { ...houseStart(kit), ...typed };
  const brewer = kit.brewers.find(({ id }) => id === asked.brewerId);
  // The last answer stays in view while the next one is on its way.
  const { data: preview, error } = useStartingRecipeQuery({ lotId: lot.id, recipe: asked });
  const [start, { error: startError, isLoading }] = useStartRecipeMutation();
  const navigate = useNavigate();
  async function keep() {
    const { data } = await start({ lotId: lot.id, recipe: asked });
    if (!data) return;
    forget();
    void navigate(`/recipes/${data.id}`);
  }
  const aim = aimOf(kit.house.window, asked.schools ?? kit.house.schools, asked.aim);
  const trouble = troubleOf(error);
  // Said at its field, and nowhere else.
  const doseError = byField(trouble?.errors ?? [])['doseG'];
  const onSwitch = (ruleId: string) =>
    change({
      ...asked,
      switchedOff: asked.switchedOff.includes(ruleId)
        ? asked.switchedOff.filter((each) => each !== ruleId)
        : [...asked.switchedOff, ruleId],
    });
  const onTake = (offer: OfferId) =>
    change({
      ...asked,
      offersTaken: asked.offersTaken.includes(offer)
        ? asked.offersTaken.filter((each) => each !== offer)
        : [...asked.offersTaken, offer],
    });
  return (
    <>
      <header className="mb-5 flex items-end gap-4">
        <div className="grow">
          <Link to={`/lots/${lot.id}`} className="text-small text-quiet underline-offset-3 hover:underline">
            {lot.name}
          </Link>
          <h1 className="text-title font-bold">
            Starting recipe <span className="font-normal text-quiet">not kept yet</span>
          </h1>
          <AdditionsNote additions={lot.additions} />
        </div>
        <FromFile lotId={lot.id} kit={kit} asked={asked} />
        <Button weight="main" disabled={isLoading || !preview} onClick={() => void keep()}>
          Keep this recipe
        </Button>
      </header>
      <div className="mb-6 grid grid-cols-2 items-start gap-x-4 gap-y-3 border-y border-rule py-3 sm:grid-cols-4 xl:grid-cols-[1.2fr_1.1fr_4.5rem_1.4fr_1.1fr_1.1fr_auto]">
        <KitChoice
          label="Brewer"
          value={asked.brewerId}
          options={brewerOptions(kit)}
          // Another brewer comes with its own paper and dose.
          onChange={(brewerId) => change({ ...asked, brewerId, paperId: null, doseG: null })}
        />
        <KitChoice
          label="Paper"
          value={asked.paperId ?? brewer?.paperId ?? 0}
          options={paperOptions(kit)}
          onChange={(paperId) => change({ ...asked, paperId })}
        />
        <QuantityField
          label="Dose"
          quantity={GRAMS}
          value={asked.doseG ?? brewer?.usualDoseG ?? null}
          error={doseError}
          onCommit={(doseG) => change({ ...asked, doseG })}
          onClear={() => change({ ...asked, doseG: null })}
        />
        <KitChoice
          label="Grinder"
          value={asked.grinderId}
          options={ownGrinderOptions(kit)}
          onChange={(grinderId) => change({ ...asked, grinderId })}
        />
        <KitChoice<number | null>
          label="Water"
          value={asked.waterId}
          none="not set"
          options={waterOptions(kit)}
          onChange={(waterId) => change({ ...asked, waterId })}
        />
        <KitChoice<number | null>
          label="Kettle"
          value={asked.kettleId}
          none="not set"
          options={kettleOptions(kit)}
          onChange={(kettleId) => change({ ...asked, kettleId })}
        />
        <div className="col-span-2 xl:col-span-1">
          <AimChoice
            aim={aim}
            source={aimSourceOf(asked.schools ?? kit.house.schools, asked.aim)}
            draftKey={`start.${lot.id}.aim`}
            onChoose={(own) => {
              change({ ...asked, aim: own });
              return Promise.resolve(null);
            }}
          />
        </div>
      </div>
      <section aria-label="Positions" className="mb-6">
        <Positions
          schools={asked.schools ?? kit.house.schools}
          house={kit.house.schools}
          isOwn={asked.schools !== null}
          onChoose={(schools) => {
            change({ ...asked, schools });
            return Promise.resolve();
          }}
          onFollowHouse={() => change({ ...asked, schools: null })}
        />
      </section>
      <TroubleNotice trouble={doseError === undefined ? (trouble ?? troubleOf(startError)) : null} />
      {preview ? (
        <PreviewSheet {...{ preview, lot, aim, onSwitch, taken: asked.offersTaken, onTake }} />
      ) : (
        !error && <Loading />
      )}
    </>
  );
}

/** The first of each kind of kit, nothing switched off. */
function houseStart({ brewers, grinders, waters, kettles }: KitView): NewRecipeDto {
  return {
    brewerId: brewers[0]?.id ?? 0,
    grinderId: grinders[0]?.id ?? 0,
    paperId: null,
    doseG: null,
    waterId: waters[0]?.id ?? null,
    kettleId: kettles[0]?.id ?? null,
    aim: null,
    switchedOff: [],
    offersTaken: [],
    schools: null,
    plan: null,
    note: '',
  };
}

function PreviewSheet({
  preview,
  lot,
  aim,
  onSwitch,
  taken,
  onTake,
}: {
  preview: StartingPreview;
  lot: LotView;
  aim: Aim;
  onSwitch: (ruleId: string) => void;
  /** As asked: the answer to it may still be on its way. */
  taken: readonly OfferId[];
  onTake: (offer: OfferId) => void;
}) {
  const { plan, reasons, forecast, similar } = preview;
  const [shown, setShown] = useState<number | null>(null);
  const beside = similar.find(({ lotId }) => lotId === shown);
  return (
    <div className="grid grid-cols-1 gap-10 xl:grid-cols-[minmax(0,1fr)_540px]">
      <div className="flex min-w-0 flex-col gap-5">
        <div className="bg-raised">
          <FittedStaircase
            plan={plan}
            behind={beside?.plan}
            height={230}
            label={`Staircase of the starting recipe: ${plan.pours.length} pours, ${planAllWaterG(plan)} g`}
          />
        </div>
        <p className="reading flex flex-wrap gap-x-7 gap-y-1 text-large">
          <span>{plan.doseG} g</span>
          <span className="text-water">
            {planAllWaterG(plan)} g, {formatRatio(planRatio(plan))}
          </span>
          <span className="text-temperature">{kettleWords(plan)}</span>
          <span>
            {grindWords(plan)}
            {preview.grinderSetting !== null && ` (setting ${preview.grinderSetting})`}
          </span>
          <span className="text-time">{formatDuration(plan.drawdownS)}</span>
        </p>
        {reasons.offers && (
          <section>
            <h2 className="heading mb-1">Others also do</h2>
            <ul className="text-small">
              {reasons.offers.map(({ id, what, because }) => (
                <li key={id} className="border-b border-rule py-1">
                  <Tick label={what} checked={taken.includes(id)} onChange={() => onTake(id)} />
                  <p className="pb-1 pl-6 text-quiet">{because}</p>
                </li>
              ))}
            </ul>
          </section>
        )}
        {lot.roastBatches.length === 0 && (
          <Notice>Not roasted yet: nothing is said of its gas, and the forecast takes a rested roast.</Notice>
        )}
        {preview.grinderNote && <Notice>{preview.grinderNote}</Notice>}
        {(reasons.kitNotes ?? [])
          .filter(({ part }) => part === 'brewer')
          .map(({ note }) => (
            <Notice key={note} tone="alarm">
              {note}
            </Notice>
          ))}
        <section>
          <h2 className="heading mb-2">What the model expects</h2>
          <RoughForecast forecast={forecast} aim={aim} />
          <LearnedFrom earlierLots={preview.earlierLots} brewsElsewhere={preview.brewsElsewhere} />
        </section>
        <section>
          <h2 className="heading mb-2">Where similar lots ended</h2>
          <SimilarLots
            similar={similar}
            kind={lot.process === 'not-known' ? 'lot' : `${processWords(lot).toLowerCase()} lot`}
            shown={shown}
            onShow={setShown}
          />
        </section>
      </div>
      <section>
        <h2 className="heading mb-1">Why each figure is what it is</h2>
        <ReasonList reasons={reasons} onSwitch={onSwitch} />
      </section>
    </div>
  );
}

/** What brews of this lot in other kit, and the house's finished lots, have taught is in the forecast. */
function LearnedFrom({ earlierLots, brewsElsewhere }: { earlierLots: number; brewsElsewhere: number }) {
  const sources = [
    ...(brewsElsewhere === 0
      ? []
      : [
          brewsElsewhere === 1
            ? 'one brew of this lot in other kit'
            : `${brewsElsewhere} brews of this lot in other kit`,
        ]),
    ...(earlierLots === 0
      ? []
      : [
          earlierLots === 1
            ? 'the brews of one finished lot of the house'
            : `the brews of ${earlierLots} finished lots of the house`,
        ]),
  ];
  if (sources.length === 0) return null;
  return <p className="caption mt-1">Learned from {sources.join(', and from ')}.</p>;
}

function SimilarLots({
  similar,
  kind,
  shown,
  onShow,
}: {
  similar: SimilarLotView[];
  kind: string;
  shown: number | null;
  onShow: (lotId: number | null) => void;
}) {
  if (similar.length === 0) {
    return (
      <p className="text-small text-quiet">
        No finished lot is like this one yet. Each {kind} whose recipe is accepted will stand here for the
        next.
      </p>
    );
  }
  return (
    <ul className="text-small">
      {similar.map(({ lotId, name, likeness, because, startGrindUm, plan }) => (
        <li
          key={lotId}
          className="grid grid-cols-[1fr_auto_auto] items-baseline gap-x-5 border-b border-rule py-1.5"
        >
          <span>
            <Link to={`/lots/${lotId}`} className="font-semibold underline-offset-3 hover:underline">
              {name}
            </Link>{' '}
            <span className="text-quiet">
              {Math.round(likeness * 100)} % alike: {because.join(', ')}
            </span>
          </span>
          <span className="reading">
            {startGrindUm} → {plan.grindUm} µm <span className="text-temperature">{plan.kettleC} °C</span>{' '}
            <span className="text-water">{formatRatio(planRatio(plan))}</span>
          </span>
          <Button
            weight="quiet"
            aria-pressed={shown === lotId}
            onClick={() => onShow(shown === lotId ? null : lotId)}
          >
            {shown === lotId ? 'Take away' : 'Draw behind'}
          </Button>
        </li>
      ))}
    </ul>
  );
}
