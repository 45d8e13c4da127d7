import type { ReactNode } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import type { PublicLotView, PublicPageView } from '@vendu/contract';
import { CardArticle } from './CardArticle.js';
import { CARD_DATA_ID, cardData } from './cardData.js';
import { LotArticle } from './LotArticle.js';
import { cardJsonLd } from './jsonLd.js';

/** Addresses of what the page brings along, as they were built. */
export interface PageAssets {
  scripts: readonly string[];
  styles: readonly string[];
  fonts: readonly string[];
}

interface PageFacts {
  title: string;
  description: string;
  /** Absolute. */
  address: string;
  assets: PageAssets;
  /** Beside a link to it; absolute. */
  picture?: string;
  /** Not for search engines: nothing public is to be found there. */
  isHidden?: boolean;
  children: ReactNode;
  more?: ReactNode;
}

/** JSON inside of a script element must not end it. */
const inScript = (data: unknown) => JSON.stringify(data).replaceAll('<', '\\u003c');

function html({
  title,
  description,
  address,
  assets,
  picture,
  isHidden = false,
  children,
  more,
}: PageFacts): string {
  const page = renderToStaticMarkup(
    <html lang="en">
      <head>
        <meta charSet="utf-8" />
        <meta name="viewport" content="width=device-width, initial-scale=1" />
        <meta name="color-scheme" content="light dark" />
        <title>{title}</title>
        <meta name="description" content={description} />
        {isHidden ? <meta name="robots" content="noindex" /> : <link rel="canonical" href={address} />}
        <meta property="og:title" content={title} />
        <meta property="og:description" content={description} />
        <meta property="og:type" content="article" />
        <meta property="og:url" content={address} />
        {picture && (
          <>
            <meta property="og:image" content={picture} />
            <meta property="og:image:width" content="1200" />
            <meta property="og:image:height" content="630" />
            <meta name="twitter:card" content="summary_large_image" />
          </>
        )}
        <link rel="icon" href="/mark.svg" type="image/svg+xml" />
        {assets.fonts.map((href) => (
          <link key={href} rel="preload" href={href} as="font" type="font/woff2" crossOrigin="anonymous" />
        ))}
        {assets.styles.map((href) => (
          <link key={href} rel="stylesheet" href={href} />
        ))}
        {assets.scripts.map((src) => (
          <script key={src} type="module" src={src} />
        ))}
        {more}
      </head>
      <body>{children}</body>
    </html>,
  );
  return `<!doctype html>${page}`;
}

/** The page that a customer brews from: all of it can be read and printed without a script. */
export function renderCardPage(
  view: PublicPageView,
  { address, assets, qrSvgPath }: { address: string; assets: PageAssets; qrSvgPath: string | null },
): string {
  const { card } = view;
  const description = [`${card.brewerName} recipe of ${card.houseName}`, card.labelNotes]
    .filter(Boolean)
    .join(': ');
  return html({
    title: `${card.lotName}, ${card.brewerName}`,
    description,
    address,
    assets,
    ...(view.standing === 'proof-copy'
      ? { isHidden: true }
      : { picture: new URL(`/api/published/${card.slug}/preview.png`, address).href }),
    children: <CardArticle view={view} address={address} qrSvgPath={qrSvgPath} />,
    more: (
      <>
        <script
          type="application/ld+json"
          dangerouslySetInnerHTML={{ __html: inScript(cardJsonLd(card, address)) }}
        />
        <script
          id={CARD_DATA_ID}
          type="application/json"
          dangerouslySetInnerHTML={{ __html: inScript(cardData(card)) }}
        />
      </>
    ),
  });
}

/** The page of a lot with more than one recipe: which to brew from. */
export function renderLotPage(
  { editions }: PublicLotView,
  { address, assets }: { address: string; assets: PageAssets },
): string {
  const [first] = editions;
  if (!first) throw new RangeError('A lot page lists at least one edition.');
  return html({
    title: `${first.lotName}: ${editions.length} recipes`,
    description: [`Recipes of ${first.houseName}`, first.labelNotes].filter(Boolean).join(': '),
    address,
    assets: { ...assets, scripts: [] },
    picture: new URL(`/api/published/${first.slug}/preview.png`, address).href,
    children: <LotArticle editions={editions} />,
  });
}

/** An address never dies: what was printed on a bag says what became of its recipe. */
export function renderRecalledPage(
  { lotName, houseName, recalledOn }: { lotName: string; houseName: string; recalledOn: string },
  { address, assets }: { address: string; assets: PageAssets },
): string {
  return html({
    title: `${lotName}: recipe withdrawn`,
    description: `${houseName} has withdrawn this recipe.`,
    address,
    assets: { ...assets, scripts: [], fonts: [] },
    isHidden: true,
    children: (
      <Plain title={lotName}>
        {houseName} withdrew this recipe on {recalledOn}. A printed card of it should not be brewed from any
        more.
      </Plain>
    ),
  });
}

/** Nothing under this address, or nothing to be had at the moment. */
export function renderTroublePage(
  { title, words }: { title: string; words: string },
  { address, assets }: { address: string; assets: PageAssets },
): string {
  return html({
    title,
    description: words,
    address,
    assets: { ...assets, scripts: [], fonts: [] },
    isHidden: true,
    children: <Plain title={title}>{words}</Plain>,
  });
}

function Plain({ title, children }: { title: string; children: ReactNode }) {
  return (
    <main className="mx-auto max-w-3xl px-5 py-10">
      <h1 className="mb-3 text-title font-bold">{title}</h1>
      <p className="mb-5 max-w-prose">{children}</p>
      <a className="font-semibold underline underline-offset-3" href="/r">
        All published recipes
      </a>
    </main>
  );
}
