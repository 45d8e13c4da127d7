import { Link } from 'react-router';
import { Mark } from '../ui/Mark';
import { ThemeChoice } from '../device/ThemeChoice';
import { useSessionQuery } from '../session/sessionApi';

/** The head of the public pages; not printed. */
export function PublicHeader() {
  const { data: session } = useSessionQuery();
  return (
    <header className="print:hidden">
      <div className="flex min-h-12 flex-wrap items-center gap-x-4 px-4 sm:px-6">
        <Link to="/r" className="flex items-center gap-2 text-large font-bold tracking-tight">
          <Mark />
          Vendu
        </Link>
        <span className="ml-auto">
          <ThemeChoice />
        </span>
        <Link
          to={session?.person ? '/today' : '/sign-in'}
          className="text-small text-quiet underline underline-offset-3 hover:text-ink"
        >
          {session?.person ? 'Back to the lots' : 'Sign in'}
        </Link>
      </div>
      <div aria-hidden className="graduation" />
    </header>
  );
}
