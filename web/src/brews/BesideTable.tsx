import { Link } from 'react-router';
import { planChanges } from '@vendu/core';
import type { BrewListItem, BrewView } from '@vendu/contract';
import { VERDICT_WORDS } from '../ui/words';
import { drainedWords } from './BrewTrail';
import { strengthWords, yieldWords } from './resultWords';
import { WideTable } from '../ui/WideTable';

/** Brews that fit beside each other on the sheet. */
const MOST_BESIDE = 3;

const ROWS: { name: string; hue: string; print: (brew: BrewListItem) => string }[] = [
  { name: 'Version', hue: '', print: ({ versionNumber }) => String(versionNumber) },
  { name: 'Dose, g', hue: 'text-water', print: ({ doseG }) => String(doseG) },
  { name: 'Water, g', hue: 'text-water', print: ({ waterG }) => String(waterG) },
  {
    name: 'Beverage, g',
    hue: 'text-water',
    print: ({ beverageG }) => (beverageG === null ? 'not weighed' : String(beverageG)),
  },
  { name: 'Drained', hue: 'text-time', print: drainedWords },
  {
    name: 'Strength, %',
    hue: 'text-strength',
    print: ({ result }) => (result ? strengthWords(result) : '–'),
  },
  { name: 'Yield, %', hue: 'text-yield', print: ({ result }) => (result ? yieldWords(result) : '–') },
  { name: 'Verdict', hue: '', print: ({ verdict }) => (verdict ? VERDICT_WORDS[verdict] : 'none yet') },
];

/** This brew and its neighbours of the same recipe, figure by figure; what differs is bold. */
export function BesideTable({ brew }: { brew: BrewView }) {
  if (brew.siblings.length === 0)
    return (
      <p className="text-small text-quiet">
        This is the first brew of this recipe. The next one shows beside it.
      </p>
    );
  const columns: BrewListItem[] = [...brew.siblings.slice(0, MOST_BESIDE).reverse(), brew].sort(
    (a, b) => a.number - b.number,
  );
  return (
    <WideTable>
      <table className="w-full text-small">
        <thead>
          <tr>
            <th className="border-b border-ink pb-1 text-left text-tiny font-medium text-quiet">
              <span className="sr-only">Figure</span>
            </th>
            {columns.map((each) => (
              <th key={each.id} className="border-b border-ink pb-1 pl-4 text-right font-semibold">
                {each.id === brew.id ? (
                  `Brew ${each.number}`
                ) : (
                  <Link
                    to={`/brews/${each.id}`}
                    className="font-normal underline underline-offset-3"
                  >{`Brew ${each.number}`}</Link>
                )}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {ROWS.map(({ name, hue, print }) => (
            <tr key={name}>
              <th scope="row" className="border-b border-rule py-1.5 text-left font-normal text-quiet">
                {name}
              </th>
              {columns.map((each) => (
                <td
                  key={each.id}
                  className={`reading border-b border-rule py-1.5 pl-4 text-right ${hue} ${print(each) !== print(brew) || each.id === brew.id ? 'font-semibold' : ''}`}
                >
                  {print(each)}
                </td>
              ))}
            </tr>
          ))}
          <tr>
            <th scope="row" className="py-1.5 pr-2 text-left align-top font-normal text-quiet">
              Plan differs in
            </th>
            {columns.map((each) => (
              <td key={each.id} className="py-1.5 pl-4 text-right align-top">
                {each.id === brew.id
                  ? ''
                  : planChanges({ from: each.plan, to: brew.plan })
                      .map(({ figure }) => figure)
                      .join(', ') || 'nothing'}
              </td>
            ))}
          </tr>
        </tbody>
      </table>
    </WideTable>
  );
}
