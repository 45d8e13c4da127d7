import { afterEach, vi } from 'vitest';

// Tests turn the wall's clock by hand, and the brew's goes with it; its own test takes the real one.
vi.mock('../device/brewClock', () => ({ brewNowMs: () => Date.now(), goOnFrom: () => undefined }));

// Rooms without a browser have nothing to prepare and nothing to tidy.
if (typeof document !== 'undefined') {
  // jsdom lays nothing out, so there is nothing to observe; parts that ask get an observer that stays silent.
  globalThis.ResizeObserver = class {
    observe() {}
    unobserve() {}
    disconnect() {}
  };
  // Nor does it scroll or hold a pointer.
  Element.prototype.scrollIntoView = () => undefined;
  Element.prototype.hasPointerCapture = () => false;
  const { expose } = await import('comlink');
  const { Forecaster } = await import('../board/forecaster');
  // Nor has it workers: the forecaster answers from the same thread.
  globalThis.Worker = function WorkerInPlace() {
    const { port1, port2 } = new MessageChannel();
    expose(new Forecaster(), port2);
    return Object.assign(port1, { terminate: () => port1.close() });
  } as unknown as typeof Worker;
  const { cleanup } = await import('@testing-library/react');
  afterEach(() => {
    cleanup();
    localStorage.clear();
  });
}
