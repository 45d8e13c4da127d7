import { buffer } from 'node:stream/consumers';
import { fromBuffer, type Entry } from 'yauzl';
import { ZipFile } from 'yazl';

/** A zip with the texts in it altered. */
export async function altered(zip: Buffer, change: (path: string, text: string) => string): Promise<Buffer> {
  const made = new ZipFile();
  for (const [path, text] of await textsIn(zip)) made.addBuffer(Buffer.from(change(path, text)), path);
  made.end();
  return buffer(made.outputStream);
}

function textsIn(zip: Buffer): Promise<Map<string, string>> {
  return new Promise((resolve, reject) => {
    const texts = new Map<string, string>();
    fromBuffer(zip, { lazyEntries: true }, (error, opened) => {
      if (error) return reject(error);
      opened.on('entry', (entry: Entry) => {
        opened.openReadStream(entry, (fault, stream) => {
          if (fault) return reject(fault);
          void buffer(stream).then((bytes) => {
            texts.set(entry.fileName, bytes.toString('utf8'));
            opened.readEntry();
          }, reject);
        });
      });
      opened.on('end', () => resolve(texts));
      opened.readEntry();
    });
  });
}
