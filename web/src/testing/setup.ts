import { cleanup, configure } from '@testing-library/react';
import { expose } from 'comlink';
import { afterEach, vi } from 'vitest';
import { Forecaster } from '../board/forecaster';

// Files share a thread and the packages loaded in it; what a page keeps in its own modules begins anew in each.
vi.resetModules();

// Tests turn the wall's clock by hand, and the brew's goes with it; its own test takes the real one.
vi.mock('../device/brewClock', () => ({ brewNowMs: () => Date.now(), goOnFrom: () => undefined }));

// What is waited for comes; a second is no bound for it beside other busy processes.
configure({ asyncUtilTimeout: 100_000 });

// jsdom lays nothing out, so there is nothing to observe; parts that ask get an observer that stays silent.
globalThis.ResizeObserver = class {
  observe() {}
  unobserve() {}
  disconnect() {}
};
// Nor does it scroll or hold a pointer.
Element.prototype.scrollIntoView = () => undefined;
Element.prototype.hasPointerCapture = () => false;
// Nor has it workers: the forecaster answers from the same thread.
globalThis.Worker = function WorkerInPlace() {
  const { port1, port2 } = new MessageChannel();
  expose(new Forecaster(), port2);
  return Object.assign(port1, { terminate: () => port1.close() });
} as unknown as typeof Worker;

afterEach(() => {
  cleanup();
  localStorage.clear();
});
