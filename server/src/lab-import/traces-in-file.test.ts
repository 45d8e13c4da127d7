import { Readable } from 'node:stream';
import { describe, expect, it } from 'vitest';
import { tracesIn, type TraceInFile } from './traces-in-file.js';

async function read(...chunks: readonly string[]): Promise<TraceInFile[]> {
  const traces: TraceInFile[] = [];
  for await (const trace of tracesIn(Readable.from(chunks.map((chunk) => Buffer.from(chunk))))) {
    traces.push(trace);
  }
  return traces;
}

const TWO: TraceInFile[] = [
  { brewId: '7', samples: { atMs: [0, 100], massG: [0, 1.5] }, outflow: { atMs: [100], massG: [0.2] } },
  { brewId: '12', samples: { atMs: [0], massG: [-0.1] }, outflow: null },
];
const TEXT =
  'brew_id,scale,at_ms,mass_g\r\n7,all,0,0\r\n7,all,100,1.5\r\n7,server,100,0.2\r\n12,all,0,-0.1\r\n';

describe('readings of scales in a file', () => {
  it('are read brew by brew, wherever the file is cut into parts', async () => {
    expect(await read(TEXT)).toEqual(TWO);
    for (let at = 0; at <= TEXT.length; at++) {
      expect([at, await read(TEXT.slice(0, at), TEXT.slice(at))]).toEqual([at, TWO]);
    }
  });

  it('are read as another program writes them: quoted, with other ends of lines, without the last one', async () => {
    const quoted = TEXT.replaceAll('all', '"all"').replaceAll('100', '"100"');
    expect(await read(quoted)).toEqual(TWO);
    expect(await read(TEXT.replaceAll('\r\n', '\n').trimEnd())).toEqual(TWO);
    expect(await read('brew_id,scale,at_ms,mass_g\r\n')).toEqual([]);
  });

  it('are refused where one is no figure, has no end, or cannot be unpacked', async () => {
    await expect(read('7,all,0.5,0\r\n')).rejects.toThrow(/traces\.csv/);
    await expect(read('7,all,0,much\r\n')).rejects.toThrow(/traces\.csv/);
    await expect(read('7,all,0,1', '1'.repeat(20_000))).rejects.toThrow(/traces\.csv/);
    const breaking = Readable.from(
      (function* () {
        yield Buffer.from('7,all,0,1\r\n');
        throw new Error('unexpected end of file');
      })(),
    );
    await expect(tracesIn(breaking).next()).rejects.toThrow(/traces\.csv/);
  });
});
