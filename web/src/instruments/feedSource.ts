import type { InstrumentReading } from '@vendu/core';
import type { InstrumentSource } from './sources';

/** Where instruments send their lines for one bench. */
export function feedAddress(feedKey: string): string {
  return `${location.origin}/api/instrument-feeds/${feedKey}`;
}

/** Instruments that send their lines to the server, which passes them on; see docs/INSTRUMENTS.md. */
export function feedSource(feedKey: string): InstrumentSource<InstrumentReading> {
  return {
    name: 'over the network',
    start({ onReading, onTrouble }) {
      const events = new EventSource(`/api/instrument-feeds/${feedKey}`);
      events.onmessage = ({ data }) => onReading(JSON.parse(String(data)) as InstrumentReading);
      events.onerror = () => onTrouble('The server passes no readings on just now; go on by hand.');
      return () => events.close();
    },
  };
}
