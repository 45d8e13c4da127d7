import { Toaster } from 'sonner';
import 'sonner/dist/styles.css';

/** Where a thing done is said, with the way to take it back. */
export function Notices() {
  return (
    <Toaster
      position="bottom-left"
      duration={8000}
      toastOptions={{
        unstyled: true,
        classNames: {
          toast:
            'flex w-96 items-center gap-4 border border-ink bg-ink px-4 py-3 font-words text-small text-sheet',
          actionButton:
            'ml-auto h-8 shrink-0 border border-sheet px-3 font-semibold hover:bg-sheet hover:text-ink',
        },
      }}
    />
  );
}
