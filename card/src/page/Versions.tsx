import type { PublicPageView } from '@vendu/contract';

const DAY = new Intl.DateTimeFormat('en-GB', {
  day: 'numeric',
  month: 'short',
  year: 'numeric',
  timeZone: 'UTC',
});
const dayOf = (moment: string) => DAY.format(new Date(moment));

/** Which version this is, what changed since the ones before, and the address for a card on paper. */
export function Versions({
  view: { card, versions, standing },
  address,
  qrSvgPath,
}: {
  view: PublicPageView;
  address: string;
  qrSvgPath: string | null;
}) {
  return (
    <footer className="flex flex-wrap items-end gap-5 border-t border-rule pt-3 print:pt-1">
      <div className="grow">
        <p className="caption">
          Version {card.versionNumber},{' '}
          {standing === 'proof-copy' ? 'not published' : `published ${dayOf(card.publishedAt)}`}
          {card.signedBy && <>, signed by {card.signedBy}</>}
        </p>
        {versions.length > 1 && (
          <details className="mt-1 text-small print:hidden">
            <summary className="caption">What changed</summary>
            <ol>
              {versions.map(({ number, publishedAt, changes }) => (
                <li key={number} className="border-b border-rule py-1">
                  <a className="underline underline-offset-3" href={`/r/${card.slug}/version/${number}`}>
                    Version {number}
                  </a>
                  , {dayOf(publishedAt)}
                  {changes.length > 0 && (
                    <span className="text-quiet">
                      :{' '}
                      {changes
                        .map(({ figure, from, to }) => `${figure.toLowerCase()} ${from} → ${to}`)
                        .join(', ')}
                    </span>
                  )}
                </li>
              ))}
            </ol>
          </details>
        )}
        <p data-actions hidden className="mt-2 print:hidden" />
      </div>
      {qrSvgPath && (
        <img
          src={qrSvgPath}
          alt={`Address of this card: ${address}`}
          width={88}
          height={88}
          className="bg-white print:hidden"
          loading="lazy"
        />
      )}
    </footer>
  );
}
