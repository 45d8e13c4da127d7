import { SAMPLE_FIELD } from '@vendu/contract';
import { QuantityField } from './QuantityField';
import { CELSIUS, inRange } from './quantities';

/** How warm the sample on the prism is: a warm one is read wrong, and looks like any other. */
export function SampleField({
  sampleC,
  roomC,
  onChange,
}: {
  sampleC: number | null;
  /** `undefined` until it is known. */
  roomC: number | undefined;
  onChange: (sampleC: number | null) => void;
}) {
  return (
    <QuantityField
      label="Sample at"
      hint={sampleHint(sampleC, roomC)}
      quantity={inRange(CELSIUS, SAMPLE_FIELD)}
      value={sampleC}
      onCommit={onChange}
      onClear={() => onChange(null)}
      placeholder="not measured"
    />
  );
}

/** A sample warmer than this above the room is read wrong, C. */
const WARM_BY_C = 5;

function sampleHint(sampleC: number | null, roomC: number | undefined): string {
  if (sampleC === null || roomC === undefined) return 'cooled to the room, stirred, filtered when hazy';
  return sampleC > roomC + WARM_BY_C
    ? `too warm: wait until it is near ${roomC}\u00a0°C, or the reading is off`
    : 'near the room: good to read';
}
