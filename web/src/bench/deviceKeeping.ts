import { useSyncExternalStore } from 'react';

/** Whether this device could write down what it was given last: a full or closed storage cannot. */
interface DeviceKeeping {
  marks: boolean;
  curve: boolean;
}

let keeping: DeviceKeeping = { marks: true, curve: true };
const listeners = new Set<() => void>();

/** Tells how the last writing went. */
export function noteKeeping(changed: Partial<DeviceKeeping>): void {
  const next = { ...keeping, ...changed };
  if (next.marks === keeping.marks && next.curve === keeping.curve) return;
  keeping = next;
  for (const listener of listeners) listener();
}

const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

export function useDeviceKeeping(): DeviceKeeping {
  return useSyncExternalStore(subscribe, () => keeping);
}
