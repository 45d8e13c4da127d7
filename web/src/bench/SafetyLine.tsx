import { memo } from 'react';
import { classes } from '../ui/classes';
import { Notice } from '../ui/Notice';
import { soFar, type BenchBrew } from './benchBrew';
import { useDeviceKeeping } from './deviceKeeping';
import { useSafety } from './runningSync';

/** What of a running brew is safe where. */
export const SafetyLine = memo(function SafetyLine({ brew }: { brew: BenchBrew }) {
  const { isOnServer, refusal, elsewhere } = useSafety(brew);
  const isHere = useDeviceKeeping();
  if (soFar(brew).run.marks.length === 0 || elsewhere !== null) return null;
  if (refusal !== null) {
    return (
      <Notice tone="alarm">
        The server does not take this brew while it runs: {refusal} It carries on here and is kept on this
        device.
      </Notice>
    );
  }
  return (
    <p
      className={classes(
        'text-small',
        isHere.marks || isOnServer ? 'text-quiet' : 'font-semibold text-alarm',
      )}
    >
      {marksWords(isHere.marks, isOnServer)}
      {brew.scale.kind !== 'none' &&
        ` The curve: ${isHere.curve ? 'on this device' : 'in this page'}; on the server up to the last mark.`}
    </p>
  );
});

function marksWords(isHere: boolean, isOnServer: boolean): string {
  if (isHere) {
    return isOnServer
      ? 'Marks and notes: on this device and on the server.'
      : 'Marks and notes: on this device; the server does not have the last of them yet.';
  }
  return isOnServer
    ? 'Marks and notes: on the server; this browser’s storage is full or blocked.'
    : 'Marks and notes: in this page only, because this browser’s storage is full or blocked and the server does not answer. Keep it open.';
}
