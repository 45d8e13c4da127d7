import {
  boilsTooSoonM,
  celsiusToFahrenheit,
  firstKettleC,
  formatRatio,
  grindName,
  planAllWaterG,
  planRatio,
  restAdvice,
  waterAdvice,
} from '@vendu/core';
import type { PublicPageView, PublicRecipeView } from '@vendu/contract';
import { Staircase } from '../drawing/Staircase.js';
import { editionName } from './editionName.js';
import { Fit } from './Fit.js';
import { Grinders } from './Grinders.js';
import { IfItTastes } from './IfItTastes.js';
import { LotHead } from './LotHead.js';
import { OtherBrewers } from './OtherBrewers.js';
import { PageHead } from './PageHead.js';
import { PourTable } from './PourTable.js';
import { Proven } from './Proven.js';
import { Section } from './Section.js';
import { Steps } from './Steps.js';
import { Variants } from './Variants.js';
import { Versions } from './Versions.js';

interface CardArticleProps {
  view: PublicPageView;
  address: string;
  /** `null` where there is no public address to be coded. */
  qrSvgPath: string | null;
}

export function CardArticle({ view, address, qrSvgPath }: CardArticleProps) {
  const { card, standing } = view;
  const { plan } = card;
  return (
    <>
      <PageHead houseName={card.houseName} />
      <main className="mx-auto flex max-w-3xl flex-col gap-6 px-5 py-6 print:gap-2 print:p-0">
        <header>
          <p className="hidden text-small text-quiet print:block">
            {card.houseName}, {card.housePlace}
          </p>
          {standing === 'proof-copy' && (
            <p className="mb-3 border-l-2 border-ink pl-3 font-medium">
              A proof copy, not published: brew from it alone, and tell what it leaves open.
            </p>
          )}
          {standing === 'superseded' && (
            <p className="mb-3 border-l-2 border-alarm pl-3 font-medium text-alarm">
              An older version:{' '}
              <a className="underline" href={`/r/${card.slug}`}>
                the recipe that holds now
              </a>
              .
            </p>
          )}
          <LotHead card={card} />
          <Editions view={view} />
        </header>
        {card.introduction && (
          <p className="max-w-prose print:max-w-none print:text-small">{card.introduction}</p>
        )}
        <Figures card={card} />
        <div className="print:flex print:items-center print:gap-4">
          <div className="hidden sm:block print:block print:h-[34mm] print:[&>svg]:h-full print:[&>svg]:w-auto">
            <Drawn plan={plan} width={720} height={230} />
          </div>
          <div className="sm:hidden print:hidden">
            <Drawn plan={plan} width={340} height={190} />
          </div>
          <div className="ml-auto hidden flex-col items-end gap-1 text-right print:flex">
            {qrSvgPath && <img src={qrSvgPath} alt="" width={96} height={96} />}
            <span className="max-w-56 text-tiny break-all">{address}</span>
          </div>
        </div>
        <Steps plan={plan} remarks={card.edition?.remarks} />
        <PourTable plan={plan} />
        <Grinders card={card} />
        <IfItTastes card={card} />
        <Fit card={card} />
        <OtherBrewers />
        <div className="grid gap-6 text-small sm:grid-cols-2 print:grid-cols-[3fr_4fr_6fr_3fr] print:gap-3 print:text-[0.6875rem] print:leading-tight">
          <Proven card={card} />
          <Variants card={card} />
          <Section title="Water and rest">
            {card.water && waterAdvice(card.water).map((words) => <p key={words}>{words}</p>)}
            <p>
              {card.proof
                ? restAdvice(card.proof.roastAgeDays)
                : 'Let a fresh roast rest about a week before it is brewed.'}
            </p>
            {card.ageNote && <p>{card.ageNote}</p>}
          </Section>
          <Section title="Safety">
            <p>Water near boiling and its steam scald. Cold glass under hot water can crack.</p>
            <p>Coffee holds caffeine: mind how much you drink in a day.</p>
          </Section>
        </div>
        <Versions view={view} address={address} qrSvgPath={qrSvgPath} />
      </main>
    </>
  );
}

/** Which edition this is, and the lot's others. */
function Editions({ view: { card, editions, lotSlug } }: { view: PublicPageView }) {
  const { edition } = card;
  if (editions.length === 0 && !edition?.name && !edition?.tastesOf) return null;
  return (
    <p className="mt-2 text-small">
      For the {editionName({ brewerName: card.brewerName, name: edition?.name ?? '' })}
      {edition?.tastesOf && <>, so brewed it tastes of {edition.tastesOf}</>}.
      {editions.length > 0 && (
        <span className="print:hidden">
          {' '}
          Also for{' '}
          {editions.map((other, index) => (
            <span key={other.slug}>
              {index > 0 && ', '}
              <a className="font-semibold underline underline-offset-3" href={`/r/${other.slug}`}>
                {editionName(other)}
              </a>
            </span>
          ))}
          .{' '}
          {lotSlug && (
            <a className="underline underline-offset-3" href={`/r/lot/${lotSlug}`}>
              Side by side
            </a>
          )}
        </span>
      )}
    </p>
  );
}

function Drawn({ plan, width, height }: { plan: PublicRecipeView['plan']; width: number; height: number }) {
  const label = `Water against time: ${planAllWaterG(plan)} grams, drained at ${plan.drawdownS} seconds`;
  return <Staircase plan={plan} width={width} height={height} label={label} />;
}

function Figures({ card }: { card: PublicRecipeView }) {
  const { plan } = card;
  const kettleC = firstKettleC(plan);
  const fahrenheit = Math.round(celsiusToFahrenheit({ temperatureC: kettleC }));
  const tooHighM = boilsTooSoonM(kettleC);
  const waterNote = `${formatRatio(planRatio(plan))}${plan.bypassG === undefined ? '' : `, ${plan.bypassG} g of it after`}`;
  const setting = [card.grinderSetting, card.secondSetting].filter((each) => each != null).join(' and ');
  return (
    <section
      aria-label="The recipe in figures"
      className="grid grid-cols-2 gap-x-6 gap-y-4 border-y border-ink py-4 sm:grid-cols-5 print:grid-cols-5 print:gap-x-4 print:py-1.5"
    >
      <Figure label="Coffee" hue="text-water" value={plan.doseG} unit="g" role="dose" />
      <Figure
        label="Water"
        hue="text-water"
        value={planAllWaterG(plan)}
        unit="g"
        role="water"
        note={waterNote}
      />
      <Figure
        label="Kettle"
        hue="text-temperature"
        value={kettleC}
        unit="°C"
        role="kettle"
        note={`${fahrenheit} °F${tooHighM === null || tooHighM > 3000 ? '' : `; above ${tooHighM} m straight off the boil`}`}
      />
      <div className="flex flex-col gap-0.5">
        <span className="caption">Brewer</span>
        <span className="text-large font-medium">{card.brewerName}</span>
        <span className="caption">{card.paper} paper</span>
      </div>
      <Figure
        label="Grind"
        value={`${plan.grindUm}${plan.secondGrind ? ` + ${plan.secondGrind.grindUm}` : ''}`}
        unit="µm"
        note={`${grindName(plan.grindUm)}${setting === '' ? '' : `; ${setting} on ${card.grinderName}`}`}
      />
    </section>
  );
}

function Figure({
  label,
  hue = 'text-ink',
  value,
  unit,
  note,
  role,
}: {
  label: string;
  hue?: string;
  value: string | number;
  unit: string;
  note?: string;
  /** What the page's own program may put another figure into. */
  role?: string;
}) {
  return (
    <div className="flex flex-col gap-0.5">
      <span className="caption">{label}</span>
      <span
        className={`reading text-figure leading-none font-medium print:text-title print:leading-none ${hue}`}
      >
        <span data-figure={role}>{value}</span>
        <span className="ml-1 text-small font-normal text-quiet">{unit}</span>
      </span>
      {note && <span className="caption">{note}</span>}
    </div>
  );
}
