import type { ScaleReading } from '@vendu/core';
import type { ScaleSource } from './scaleSource';

/** Where a scale sends its lines for one bench. */
export function feedAddress(feedKey: string): string {
  return `${location.origin}/api/scale-feeds/${feedKey}`;
}

/** A scale that sends its lines to the server, which passes them on; see docs/SCALES.md. */
export function feedScaleSource(feedKey: string): ScaleSource {
  return {
    name: 'Scale over the network',
    start({ onReading, onTrouble }) {
      const events = new EventSource(`/api/scale-feeds/${feedKey}`);
      events.onmessage = ({ data }) => onReading(JSON.parse(String(data)) as ScaleReading);
      events.onerror = () => onTrouble('The server passes no readings on just now; go on by marks.');
      return () => events.close();
    },
  };
}
