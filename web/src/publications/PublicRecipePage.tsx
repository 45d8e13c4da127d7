import { Fragment } from 'react';
import { useParams } from 'react-router';
import {
  celsiusToFahrenheit,
  drainAdviceS,
  firstKettleC,
  formatDuration,
  elevationOf,
  formatRatio,
  planAllWaterG,
  planRatio,
  tasteAdvice,
} from '@vendu/core';
import type { PublicRecipeView } from '@vendu/contract';
import { troubleOf } from '../api/problem';
import { FittedStaircase } from '../staircase/FittedStaircase';
import { Button } from '../ui/Button';
import { countryName } from '../ui/countries';
import { dayOf } from '../ui/dates';
import { Figure } from '../ui/Figure';
import { Loading } from '../ui/Loading';
import { Unavailable } from '../ui/Unavailable';
import { elevationWords, processWords } from '../ui/words';
import { GuidedSteps } from './GuidedSteps';
import { usePublishedRecipeQuery } from './publishedApi';
import { PublicHeader } from './PublicHeader';

/** The card that a customer brews from: on a phone, on a screen, or printed on one sheet. */
export function PublicRecipePage() {
  const slug = useParams()['slug'] ?? '';
  const { data: recipe, error, isLoading, refetch } = usePublishedRecipeQuery(slug);
  return (
    <div className="min-h-dvh">
      <PublicHeader />
      <main className="mx-auto max-w-3xl px-5 py-6 print:p-0">
        {isLoading && <Loading />}
        {error && <Unavailable trouble={troubleOf(error)} onRetry={() => void refetch()} />}
        {recipe && <Card recipe={recipe} />}
      </main>
    </div>
  );
}

function Card({ recipe }: { recipe: PublicRecipeView }) {
  const { plan } = recipe;
  const kettleC = firstKettleC(plan);
  const drain = drainAdviceS(plan);
  const fahrenheit = Math.round(celsiusToFahrenheit({ temperatureC: kettleC }));
  return (
    <article className="flex flex-col gap-6 print:gap-2">
      <header>
        <p className="text-small text-quiet">
          {recipe.houseName}, {recipe.housePlace}
        </p>
        <h1 className="text-[2rem] leading-tight font-bold">{recipe.lotName}</h1>
        <p className="text-large">{originWords(recipe)}</p>
        {recipe.labelNotes && <p className="text-large text-quiet">{recipe.labelNotes}</p>}
        {recipe.additions && (
          <p className="mt-2 border-l-2 border-alarm pl-3 font-medium text-alarm">
            Co-fermented with {recipe.additions}. Check it against your allergies.
          </p>
        )}
      </header>
      {recipe.introduction && <p className="max-w-prose">{recipe.introduction}</p>}
      <section
        aria-label="The recipe in figures"
        className="grid grid-cols-2 gap-x-6 gap-y-4 border-y border-ink py-4 sm:grid-cols-5 print:py-2"
      >
        <Figure label="Coffee" value={plan.doseG} unit="g" hue="text-water" size="large" />
        <Figure
          label="Water"
          value={planAllWaterG(plan)}
          unit="g"
          hue="text-water"
          size="large"
          note={`${formatRatio(planRatio(plan))}${plan.bypassG === undefined ? '' : `, ${plan.bypassG} g of it after`}`}
        />
        <Figure
          label="Kettle"
          value={kettleC}
          unit="°C"
          hue="text-temperature"
          size="large"
          note={`${fahrenheit} °F`}
        />
        <Figure
          label="Brewer"
          value={<span className="font-words text-large">{recipe.brewerName}</span>}
          note={`${recipe.paper} paper`}
        />
        <Figure
          label="Grind"
          value={
            <>
              {plan.grindUm}
              {plan.secondGrind && ` + ${plan.secondGrind.grindUm}`}{' '}
              <span className="text-small text-quiet">µm</span>
            </>
          }
          note={
            recipe.grinderSetting === null
              ? undefined
              : `${[recipe.grinderSetting, ...(recipe.secondSetting === undefined ? [] : [recipe.secondSetting])].join(' and ')} on ${recipe.grinderName}`
          }
        />
      </section>
      <FittedStaircase
        plan={plan}
        height={230}
        label={`Water against time: ${planAllWaterG(plan)} grams, drained at ${plan.drawdownS} seconds`}
      />
      <GuidedSteps slug={recipe.slug} plan={plan} />
      <section className="grid gap-4 text-small sm:grid-cols-[3fr_2fr] print:grid-cols-[3fr_2fr] print:text-tiny">
        <div>
          <h2 className="heading mb-2">If it tastes like</h2>
          <dl className="grid grid-cols-[auto_1fr] gap-x-3 gap-y-1 print:gap-y-0">
            {tasteAdvice(plan).map(({ taste, change }) => (
              <Fragment key={taste}>
                <dt className="font-semibold">{taste}</dt>
                <dd>{change}</dd>
              </Fragment>
            ))}
          </dl>
          {drain && (
            <p className="mt-2">
              Drained before <span className="reading">{formatDuration(drain.earlyS)}</span>: grind finer.
              After <span className="reading">{formatDuration(drain.lateS)}</span>: grind coarser.
            </p>
          )}
        </div>
        <div>
          <h2 className="heading mb-2">Safety</h2>
          <p>Water near boiling and its steam scald. Cold glass under hot water can crack.</p>
        </div>
      </section>
      <footer className="flex items-center gap-4 border-t border-rule pt-3">
        <p className="caption grow">
          Version {recipe.versionNumber}, published {dayOf(recipe.publishedAt)}
        </p>
        <Button className="print:hidden" onClick={() => window.print()}>
          Print on one sheet
        </Button>
      </footer>
    </article>
  );
}

function originWords(recipe: PublicRecipeView): string {
  const elevation = elevationOf(recipe);
  return [
    recipe.farm,
    recipe.region,
    countryName(recipe.country),
    recipe.variety,
    recipe.process === 'not-known' ? '' : processWords(recipe).toLowerCase(),
    elevation && elevationWords(elevation),
  ]
    .filter(Boolean)
    .join(', ');
}
