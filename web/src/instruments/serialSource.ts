import { parseInstrumentLine, type InstrumentReading } from '@vendu/core';
import { lineCutter } from './lines';
import type { InstrumentListener, InstrumentSource } from './sources';

/** What is used of Web Serial, which no type library of the platform has yet. */
interface SerialPort {
  open: (options: { baudRate: number }) => Promise<void>;
  readable: ReadableStream<Uint8Array> | null;
  close: () => Promise<void>;
}
interface Serial {
  requestPort: () => Promise<SerialPort>;
}

/** The usual speed of do-it-yourself instruments. */
const BAUD_RATE = 115_200;

function serialOf(): Serial | null {
  return (navigator as { serial?: Serial }).serial ?? null;
}

/** Whether this browser can reach an instrument on a cable. */
export function hasSerial(): boolean {
  return serialOf() !== null;
}

/** An instrument on a cable that sends a line for each reading; docs/INSTRUMENTS.md describes the lines. */
export function serialSource(): InstrumentSource<InstrumentReading> {
  return {
    name: 'on a cable',
    start(listener) {
      const reading = new AbortController();
      void read(listener, reading.signal);
      return () => reading.abort();
    },
  };
}

async function read(
  { onReading, onTrouble }: InstrumentListener<InstrumentReading>,
  signal: AbortSignal,
): Promise<void> {
  const serial = serialOf();
  if (!serial) {
    onTrouble('This browser cannot read a cable; use the network, or carry on by hand.');
    return;
  }
  try {
    const port = await serial.requestPort();
    await port.open({ baudRate: BAUD_RATE });
    const takeIn = lineCutter((line) => {
      const read = parseInstrumentLine(line);
      if (read.ok) onReading(read.value);
    });
    const decoder = new TextDecoder();
    const sink = new WritableStream<Uint8Array>({
      write: (piece) => takeIn(decoder.decode(piece, { stream: true })),
    });
    await port.readable?.pipeTo(sink, { signal });
    await port.close();
  } catch (error) {
    if (signal.aborted) return;
    onTrouble(
      `The connection over the cable is lost (${String(error)}). Carry on by hand, or connect it again.`,
    );
  }
}
