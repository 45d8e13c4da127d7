import { buffer } from 'node:stream/consumers';
import { fromBuffer, type Entry } from 'yauzl';
import { ZipFile } from 'yazl';
import type TestAgent from 'supertest/lib/agent.js';

/** Everything out, as the lead's browser gets it. */
export async function exported(lead: TestAgent, path = '/api/export/lab.zip'): Promise<Buffer> {
  const answer = await lead
    .get(path)
    .buffer(true)
    .parse((response, done) => {
      const parts: Buffer[] = [];
      response.on('data', (part: Buffer) => parts.push(part));
      response.on('end', () => done(null, Buffer.concat(parts)));
    })
    .expect(200);
  return answer.body as Buffer;
}

/** Read by a reader that is not ours. */
export function unzipped(zip: Buffer): Promise<Map<string, string>> {
  return new Promise((resolve, reject) => {
    const found = new Map<string, string>();
    fromBuffer(zip, { lazyEntries: true }, (error, opened) => {
      if (error) return reject(error);
      opened.on('entry', (entry: Entry) => {
        opened.openReadStream(entry, (fault, stream) => {
          if (fault) return reject(fault);
          const parts: Buffer[] = [];
          stream.on('data', (part: Buffer) => parts.push(part));
          stream.on('end', () => {
            found.set(entry.fileName, Buffer.concat(parts).toString('utf8'));
            opened.readEntry();
          });
        });
      });
      opened.on('end', () => resolve(found));
      opened.readEntry();
    });
  });
}

export function zipped(files: ReadonlyMap<string, string>): Promise<Buffer> {
  const zip = new ZipFile();
  for (const [path, text] of files) zip.addBuffer(Buffer.from(text), path);
  zip.end();
  return buffer(zip.outputStream);
}
