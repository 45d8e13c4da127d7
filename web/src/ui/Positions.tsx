import { Link } from 'react-router';
import { positionWords, type HousePosition } from '@vendu/core';

/** What a house found out by its own blind tests, each with the way to them. */
export function Positions({ positions }: { positions: readonly HousePosition[] }) {
  return (
    <ul>
      {positions.map((position) => (
        <li key={position.comparisonIds.join()} className="border-b border-rule py-2">
          {positionWords(position)}{' '}
          {position.comparisonIds.map((id, index) => (
            <Link key={id} to={`/compare/${id}`} className="mr-2 text-small underline underline-offset-3">
              {index === 0 ? 'See it' : `and ${index + 1}`}
            </Link>
          ))}
        </li>
      ))}
    </ul>
  );
}
