import { afterEach } from 'vitest';

// Rooms without a browser have nothing to prepare and nothing to tidy.
if (typeof document !== 'undefined') {
  // jsdom lays nothing out, so there is nothing to observe; parts that ask get an observer that stays silent.
  globalThis.ResizeObserver = class {
    observe() {}
    unobserve() {}
    disconnect() {}
  };
  const { cleanup } = await import('@testing-library/react');
  afterEach(() => {
    cleanup();
    localStorage.clear();
  });
}
