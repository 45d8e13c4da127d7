import { useRouteError } from 'react-router';
import { Button } from '../ui/Button';

/** Stands in for a page that broke. Drafts and the bench are on this device, so reloading loses nothing. */
export function PageFault() {
  const error = useRouteError();
  return (
    <main className="mx-auto max-w-xl p-10">
      <h1 className="mb-2 text-title font-bold">This page broke</h1>
      <p className="mb-4">Anything typed and any running brew are kept on this device. Reload the page.</p>
      <pre className="reading mb-4 overflow-auto bg-wash p-3 text-tiny">
        {error instanceof Error ? error.message : String(error)}
      </pre>
      <Button weight="main" onClick={() => window.location.reload()}>
        Reload
      </Button>
    </main>
  );
}
