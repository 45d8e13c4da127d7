import type { BlindTestView } from '@vendu/contract';
import { Notice } from '../ui/Notice';

/** A code for each taster's phone, beside the codes of his cups. */
export function Places({ test, phoneOrigin }: { test: BlindTestView; phoneOrigin: string | null }) {
  return (
    <div className="mt-2">
      {phoneOrigin === null ? (
        <Notice>
          This server listens to its own machine only, and no phone finds it. Start it with{' '}
          <code>--phones</code>: phones in the same network then get the pages of tasters, and nothing else.
          On this machine the places open below.
        </Notice>
      ) : (
        <p className="text-small">
          Each taster scans a code of his own; phones have to be in the same network ({phoneOrigin}).
        </p>
      )}
      <ul className="mt-3 grid grid-cols-[repeat(auto-fill,minmax(9.5rem,1fr))] gap-3">
        {test.places.map(({ number, path, codes, isTaken, answered }) => (
          <li key={number} className="border border-rule p-2">
            <p className="flex items-baseline justify-between">
              <span className="font-semibold">Taster {number}</span>
              <span className="caption">
                {answered.length === test.stages.length ? 'done' : isTaken ? 'taken' : 'free'}
              </span>
            </p>
            {isTaken ? (
              <p className="flex aspect-square items-center justify-center text-small text-quiet">
                at the table
              </p>
            ) : (
              <a href={path} target="_blank" rel="noreferrer" className="block">
                <img
                  src={`/api/blind-tests/${test.id}/places/${number}/code.svg`}
                  alt={`Page of taster ${number}`}
                  className="aspect-square w-full bg-white"
                  loading="lazy"
                />
              </a>
            )}
            <p className="reading text-center text-small">
              {codes.map((code) => (code === '' ? 'known' : code)).join('  ')}
            </p>
          </li>
        ))}
      </ul>
    </div>
  );
}
