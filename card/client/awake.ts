let lock: { release: () => Promise<void> } | null = null;

/** Keeps the screen on while a brew runs, where the browser can; a lock is lost whenever the page is hidden. */
export async function stayAwake(): Promise<void> {
  if (!('wakeLock' in navigator)) return;
  try {
    lock = await navigator.wakeLock.request('screen');
    document.addEventListener('visibilitychange', again);
  } catch {
    // A battery that is low refuses it.
  }
}

function again(): void {
  if (document.visibilityState !== 'visible' || !lock) return;
  void navigator.wakeLock.request('screen').then(
    (next) => (lock = next),
    () => undefined,
  );
}
