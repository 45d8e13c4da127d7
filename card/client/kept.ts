/** What is kept on this device; a browser that keeps nothing is no fault of the card. */
export function kept<T>(key: string): { read: () => T | null; write: (value: T | null) => void } {
  return {
    read: () => {
      try {
        const text = localStorage.getItem(key);
        return text === null ? null : (JSON.parse(text) as T);
      } catch {
        return null;
      }
    },
    write: (value) => {
      try {
        if (value === null) localStorage.removeItem(key);
        else localStorage.setItem(key, JSON.stringify(value));
      } catch {
        // Full, or forbidden: the brew goes on without.
      }
    },
  };
}
