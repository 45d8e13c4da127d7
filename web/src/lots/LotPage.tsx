import { memo, useDeferredValue, useState } from 'react';
import { Link, useParams } from 'react-router';
import { skipToken } from '@reduxjs/toolkit/query';
import {
  LOT_FIGURE_NAMES,
  LABEL_NOTES,
  LOT_FIGURES,
  LOT_TEXTS,
  lotFigureWords,
  type KitView,
  type LotView,
} from '@vendu/contract';
import {
  aimOf,
  aimSourceOf,
  elevationOf,
  formatRatio,
  grindWords,
  planRatio,
  planAllWaterG,
  labelNotesText,
} from '@vendu/core';
import { troubleOf } from '../api/problem';
import { BrewTrail } from '../brews/BrewTrail';
import { ExtractionMap } from '../extractionMap/ExtractionMap';
import { useRecipeQuery } from '../api/recipesApi';
import { useSessionQuery } from '../session/sessionApi';
import { StaircaseThumb } from '@vendu/card';
import { ButtonLink } from '../ui/Button';
import { countryName } from '@vendu/card/countries';
import { dayOf } from '../ui/dates';
import { Loading } from '../ui/Loading';
import { useHeld } from '../ui/useHeld';
import { useScrollToHash } from '../ui/useScrollToHash';
import { StageLadder } from '../ui/StageLadder';
import { Unavailable } from '../ui/Unavailable';
import { DUE_WORDS, ROAST_WORDS, SIGN_WORDS } from '../ui/words';
import { elevationWords, processWords } from '@vendu/core';
import { CardChanges } from '../publications/CardChanges';
import { AdditionsNote } from '../ui/AdditionsNote';
import { LotComparisons } from './LotComparisons';
import { Kin } from './Kin';
import { useKitQuery } from '../api/kitApi';
import { useLotQuery } from '../api/lotsApi';
import { useIsWriting } from '../api/writing';
import { NewRoastBatch } from './NewRoastBatch';
import { NextChange } from '../change/NextChange';
import { recipeNames } from './recipeNames';
import { launchWords } from './launchWords';
import { Stock } from './Stock';

/** Map and trail are there by then, whether or not there is a word on what to change. */
const HELD_AT_MOST_MS = 5000;

export function LotPage() {
  const id = Number(useParams()['lotId']);
  const { data: lot, error, isLoading, refetch } = useLotQuery(id);
  const { data: kit } = useKitQuery();
  const isLead = useSessionQuery().data?.person?.role === 'lead';
  const isWriting = useIsWriting();
  // Who comes on the heels of a reading wants to know what to change: drawing many brews takes a while, and waits.
  const [isAwaited, setAwaited] = useState(isWriting);
  const held = useHeld(lot, isWriting || (isAwaited && lot?.brews.length !== 0), HELD_AT_MOST_MS);
  const deferred = useDeferredValue(held, undefined);
  useScrollToHash(lot !== undefined && kit !== undefined);
  if (isLoading) return <Loading />;
  if (!lot) return <Unavailable trouble={troubleOf(error)} onRetry={() => void refetch()} />;
  // The recipe brewed last is the one that a change is proposed for.
  const recipeWithBrews = lot.brews.at(-1)?.recipeId;
  const names = recipeNames(lot.recipes);
  const drawn = deferred?.id === lot.id ? deferred : null;
  return (
    <>
      <header className="mb-6 flex flex-wrap items-start gap-x-6 gap-y-3">
        <div className="min-w-0 grow basis-72">
          <h1 className="text-title font-bold">{lot.name}</h1>
          <p className="text-quiet">
            {[countryName(lot.country), lot.region, lot.farm].filter(Boolean).join(', ')}
          </p>
          <AdditionsNote additions={lot.additions} />
          {lot.outdatedCards.map(({ recipeId, brewerName, changes }) => (
            <div key={recipeId} className="mt-2">
              <CardChanges changes={changes}>
                <Link to={`/recipes/${recipeId}`} className="font-semibold underline underline-offset-3">
                  Card for the {brewerName}
                </Link>
              </CardChanges>
            </div>
          ))}
        </div>
        <p className="text-small sm:text-right">
          <span className={lot.due.isPressing ? 'font-semibold text-alarm' : 'text-quiet'}>
            {DUE_WORDS[lot.due.action]}
          </span>
          {lot.daysToLaunch !== null && (
            <span className="reading block text-time">on sale {launchWords(lot.daysToLaunch)}</span>
          )}
        </p>
        <StageLadder stage={lot.stage} />
        <div className="flex flex-col items-end">
          <ButtonLink className="mb-1" to={`/lots/${id}/edit`}>
            Edit facts
          </ButtonLink>
          <a
            href={`/api/lots/${id}/dossier.pdf`}
            target="_blank"
            rel="noreferrer"
            className="inline-flex min-h-6 items-center text-tiny text-quiet underline underline-offset-3 hover:text-ink"
          >
            Dossier as PDF
          </a>
          {isLead && (
            <a
              href={`/api/export/lots/${id}.zip`}
              download
              className="inline-flex min-h-6 items-center text-tiny text-quiet underline underline-offset-3 hover:text-ink"
            >
              Export this lot
            </a>
          )}
        </div>
      </header>
      <div className="grid grid-cols-1 gap-10 xl:grid-cols-[minmax(0,1fr)_440px]">
        <div className="flex flex-col gap-8">
          <section>
            <h2 className="heading mb-3">Recipes</h2>
            <Recipes lot={lot} />
            {lot.recipes.length === 0 && (
              <p className="mb-3 text-small">
                No recipe yet. The starting recipe follows from process, elevation, roast and the house style,
                and says why.
              </p>
            )}
            <ButtonLink
              className="mt-3"
              to={`/lots/${id}/start`}
              weight={lot.recipes.length === 0 ? 'main' : 'plain'}
            >
              {lot.recipes.length === 0 ? 'See the starting recipe' : 'A recipe for another brewer'}
            </ButtonLink>
          </section>
          <Kin lot={lot} />
          {kit && recipeWithBrews !== undefined && (
            <section id="next-change" className="scroll-mt-4">
              <h2 className="heading mb-2">
                Next change
                {names && (
                  <span className="font-normal text-quiet"> in the {names.get(recipeWithBrews)}</span>
                )}
              </h2>
              <NextChange recipeId={recipeWithBrews} kit={kit} onPut={() => setAwaited(false)} />
            </section>
          )}
          <section>
            <div className="mb-2 flex items-baseline gap-4 border-b border-ink">
              <h2 className="grow pb-1 text-small font-[650]">Trail of brews</h2>
              {lot.brews.length > 0 && (
                <a
                  href={`/api/lots/${id}/brews.csv`}
                  download
                  className="text-small text-quiet underline underline-offset-3 hover:text-ink"
                >
                  Save as CSV
                </a>
              )}
              {lot.recipes.length > 0 && (
                <Link
                  to={`/lots/${id}/brews/import`}
                  className="text-small text-quiet underline underline-offset-3 hover:text-ink"
                >
                  Add from CSV
                </Link>
              )}
            </div>
            {lot.brews.length === 0 ? (
              <p className="text-small text-quiet">
                {lot.recipes.length === 0
                  ? 'No brew yet. Start from a recipe above, then brew it on the bench.'
                  : 'No brew yet. Open the recipe and take it to the bench.'}
              </p>
            ) : (
              drawn && <LotTrail lot={drawn} />
            )}
          </section>
        </div>
        <div className="flex flex-col gap-8">
          {kit && (
            <section>
              <h2 className="heading mb-2">Extraction map</h2>
              <div className="min-h-80">
                {drawn && <LotMap lot={drawn} kit={kit} recipeId={recipeWithBrews ?? null} />}
              </div>
            </section>
          )}
          <LotComparisons lotId={id} hasRecipes={lot.recipes.length > 0} />
          <section>
            <h2 className="heading mb-3">Facts</h2>
            <Facts lot={lot} />
          </section>
          <section>
            <h2 className="heading mb-2">Stock</h2>
            <Stock lot={lot} />
          </section>
          <section>
            <h2 className="heading mb-2">Roast batches</h2>
            {lot.roastBatches.length === 0 && (
              <p className="mb-3 text-small">
                Not roasted yet. Its starting recipe can be looked at; a brew needs a batch.
              </p>
            )}
            <ul className="mb-3">
              {lot.roastBatches.map((batch) => (
                <li key={batch.id} className="flex gap-4 border-b border-rule py-1.5 text-small">
                  <span className="grow">{dayOf(batch.roastedOn)}</span>
                  {batch.isSample && <span className="font-medium">sample roast</span>}
                  <span className="text-quiet">
                    {batch.level ? ROAST_WORDS[batch.level] : 'level not known'}
                  </span>
                  {batch.lossPercent !== null && (
                    <span className="reading text-quiet">−{batch.lossPercent} %</span>
                  )}
                  {batch.endC !== null && <span className="reading text-temperature">{batch.endC} °C</span>}
                  <span className="reading w-14 text-right text-time">{batch.ageDays} d</span>
                </li>
              ))}
            </ul>
            <NewRoastBatch lotId={id} isFirst={lot.roastBatches.length === 0} />
          </section>
        </div>
      </div>
    </>
  );
}

/** All brews of the lot over the aim of the recipe brewed last. */
const LotMap = memo(function LotMap({
  lot,
  kit,
  recipeId,
}: {
  lot: LotView;
  kit: KitView;
  recipeId: number | null;
}) {
  const { schools = kit.house.schools, aim = null } = useRecipeQuery(recipeId ?? skipToken, {
    selectFromResult: ({ data }) => ({ schools: data?.schools, aim: data?.aim }),
  });
  return (
    <ExtractionMap
      brews={lot.brews}
      names={recipeNames(lot.recipes)}
      aim={aimOf(kit.house.window, schools, aim)}
      aimSource={aimSourceOf(schools, aim)}
    />
  );
});

const LotTrail = memo(function LotTrail({ lot }: { lot: LotView }) {
  return <BrewTrail brews={lot.brews} lotId={lot.id} names={recipeNames(lot.recipes)} />;
});

function Recipes({ lot }: { lot: LotView }) {
  return (
    <ul>
      {lot.recipes.map((recipe) => (
        <li key={recipe.id} className="border-b border-rule">
          <Link
            to={`/recipes/${recipe.id}`}
            className="flex flex-wrap items-center gap-x-5 gap-y-1 py-3 hover:bg-wash"
          >
            <StaircaseThumb plan={recipe.plan} width={170} height={48} />
            <span>
              <span className="font-semibold">{recipe.brewerName}</span>{' '}
              <span className="caption">
                version {recipe.latestVersion}
                {recipe.publishedSlug
                  ? ', published'
                  : recipe.signedOff
                    ? ', signed off'
                    : recipe.accepted
                      ? ', accepted'
                      : ''}
              </span>
              <span className="reading block text-small">
                <span className="text-water">
                  {recipe.plan.doseG} g : {planAllWaterG(recipe.plan)} g,{' '}
                  {formatRatio(planRatio(recipe.plan))}
                </span>
                <span className="ml-4 text-temperature">{recipe.plan.kettleC} °C</span>
                <span className="ml-4">{grindWords(recipe.plan)}</span>
              </span>
            </span>
          </Link>
        </li>
      ))}
    </ul>
  );
}

/** What was measured of the green, one after the other. */
function greenWords(lot: LotView): string {
  return LOT_FIGURE_NAMES.flatMap((name) => {
    const value = lot[name];
    return value === null ? [] : [`${LOT_FIGURES[name].label.toLowerCase()} ${lotFigureWords(name, value)}`];
  }).join(', ');
}

function Facts({ lot }: { lot: LotView }) {
  const elevation = elevationOf(lot);
  const rows: [string, string][] = [
    [
      'Process',
      [lot.process === 'not-known' ? '' : processWords(lot), lot.fermentationNote].filter(Boolean).join(': '),
    ],
    ['Elevation', elevation ? elevationWords(elevation) : ''],
    ['Green', greenWords(lot)],
    ...(['screenSize', 'greenLook', 'variety', 'producer', 'drying', 'harvest', 'supplier'] as const).map(
      (name): [string, string] => [LOT_TEXTS[name].label, lot[name]],
    ),
    [LABEL_NOTES.label, labelNotesText(lot.labelNotes)],
    ['Noticed', lot.signs.map((sign) => SIGN_WORDS[sign]).join(', ')],
  ];
  return (
    <dl className="grid grid-cols-[7rem_1fr] gap-y-1.5 text-small">
      {rows.map(([name, value]) => (
        <div key={name} className="contents">
          <dt className="text-quiet">{name}</dt>
          <dd>{value || <span className="text-quiet">not known</span>}</dd>
        </div>
      ))}
    </dl>
  );
}
