import { useRef, useState } from 'react';
import { Button } from '../ui/Button';
import { Notice } from '../ui/Notice';
import { fetchedFile, saveAs } from './fetchedFile';

/** Fetches a file that takes a while, and says how far it is. */
export function ExportButton({ url, words }: { url: string; words: string }) {
  const [received, setReceived] = useState<number | null>(null);
  const [hasFailed, setFailed] = useState(false);
  const stop = useRef<AbortController>(null);

  async function fetchIt() {
    const own = new AbortController();
    stop.current = own;
    setFailed(false);
    setReceived(0);
    try {
      saveAs(await fetchedFile(url, { signal: own.signal, onReceived: setReceived }));
    } catch {
      setFailed(!own.signal.aborted);
    } finally {
      setReceived(null);
    }
  }
  return (
    <div className="flex flex-col items-start gap-2">
      {received === null ? (
        <Button onClick={() => void fetchIt()}>{words}</Button>
      ) : (
        <p role="status" className="flex items-center gap-3">
          <span>
            <span className="reading">{(received / 1e6).toFixed(1)} MB</span> so far
          </span>
          <Button weight="quiet" onClick={() => stop.current?.abort()}>
            Stop
          </Button>
        </p>
      )}
      {hasFailed && <Notice tone="alarm">It broke off, and nothing was kept. Try it again.</Notice>}
    </div>
  );
}
