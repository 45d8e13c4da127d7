/** A file as it came, with the name that the server gave it. */
export interface FetchedFile {
  name: string;
  content: Blob;
}

/**
 * Fetches a file and tells how many bytes of it are there.
 *
 * @throws where the server refuses, breaks off, or it was stopped: half a file is none
 */
export async function fetchedFile(
  url: string,
  { signal, onReceived }: { signal: AbortSignal; onReceived: (bytes: number) => void },
): Promise<FetchedFile> {
  const answer = await fetch(url, { signal });
  if (!answer.ok || !answer.body) throw new Error(`${url} answered ${answer.status}`);
  const parts: BlobPart[] = [];
  let received = 0;
  const reader = answer.body.getReader();
  for (;;) {
    const { done, value } = await reader.read();
    if (done) break;
    parts.push(value);
    received += value.length;
    onReceived(received);
  }
  const [, name = 'export.zip'] =
    /filename="([^"]+)"/.exec(answer.headers.get('content-disposition') ?? '') ?? [];
  return { name, content: new Blob(parts) };
}

const KEPT_MS = 60_000;

/** Hands a file to the browser, which keeps it where it keeps downloads. */
export function saveAs({ name, content }: FetchedFile): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(content);
  link.download = name;
  link.click();
  // The browser reads it after this returns.
  setTimeout(() => URL.revokeObjectURL(link.href), KEPT_MS);
}
