import { afterEach } from 'vitest';

// Rooms without a browser have nothing to tidy.
if (typeof document !== 'undefined') {
  const { cleanup } = await import('@testing-library/react');
  afterEach(() => {
    cleanup();
    localStorage.clear();
  });
}
