import type { InstrumentReading } from '@vendu/core';
import { readDraft, writeDraft } from '../device/draft';
import type { InstrumentSource } from './sources';
import { uuid } from '../device/uuid';

/** Where instruments send their lines for one bench. Who knows it can send readings, so it is this device's secret. */
export function feedAddress(name: string): string {
  return `${location.origin}/api/instrument-feeds/${secretOf(name)}`;
}

/**
 * The key of a feed: made here at random, kept on this device, and told to nobody but whoever reads it off the screen.
 * The key of a brew would be known to all of the lab.
 */
function secretOf(name: string): string {
  const draft = `feed.${name}`;
  const kept = readDraft(draft) ?? made.get(name);
  if (typeof kept === 'string') return kept;
  const secret = uuid();
  // A browser that keeps nothing has it as long as the page.
  made.set(name, secret);
  writeDraft(draft, secret);
  return secret;
}
const made = new Map<string, string>();

/** Instruments that send their lines to the server, which passes them on; see docs/INSTRUMENTS.md. */
export function feedSource(feedName: string): InstrumentSource<InstrumentReading> {
  return {
    name: 'over the network',
    start({ onReading, onTrouble }) {
      const events = new EventSource(feedAddress(feedName));
      events.onmessage = ({ data }) => onReading(JSON.parse(String(data)) as InstrumentReading);
      events.onerror = () => onTrouble('No readings are coming through the server; carry on by hand.');
      return () => events.close();
    },
  };
}
