import { Link } from 'react-router';

/** Proposals that do not know yet what others wrote of the last cup say so. */
export function SheetsWait({ brewId, number, count }: { brewId: number; number: number; count: number }) {
  return (
    <p className="mb-3 text-small text-quiet">
      {count === 1 ? 'A sheet' : `${count} sheets`} of brew {number} {count === 1 ? 'is' : 'are'} closed to
      you until you have sent yours, and {count === 1 ? 'is' : 'are'} not in this.{' '}
      <Link to={`/brews/${brewId}/taste`} className="underline underline-offset-3 hover:text-ink">
        Taste it
      </Link>
    </p>
  );
}
